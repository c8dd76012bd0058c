/** Who may know whom: a folder that another knows does not know that one. */
export default {
  forbidden: [
    {
      name: 'no-circles-between-folders',
      comment: 'Move what both need into the one that is known, or into shared.',
      severity: 'error',
      scope: 'folder',
      from: { path: '^src/[^/]+$' },
      to: { circular: true },
    },
    {
      name: 'shared-knows-no-page',
      comment: 'What is shared is there for the pages, not the other way round.',
      severity: 'error',
      from: { path: '^src/shared/' },
      to: { path: '^src/(?!shared/|messages/)[^/]+/' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    exclude: '\\.test\\.ts$|schema\\.d\\.ts$',
    doNotFollow: 'node_modules',
  },
}
