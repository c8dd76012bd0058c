/** Of the page, as package.json has it: records that wait on a device say which page made them. */
declare const __PAGE_VERSION__: string
