import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'round', component: () => import('./round/Round.vue'), meta: { title: 'Round' } },
    {
      path: '/round/paper',
      name: 'paper-round',
      component: () => import('./round/PaperRound.vue'),
      meta: { title: 'A round on paper', under: 'round' },
    },
    {
      path: '/season',
      name: 'season',
      component: () => import('./season/Season.vue'),
      meta: { title: 'Season' },
    },
    { path: '/stock', name: 'stock', component: () => import('./stock/Stock.vue'), meta: { title: 'Stock' } },
    {
      path: '/stock/:id(\\d+)',
      name: 'mother',
      component: () => import('./stock/MotherPage.vue'),
      meta: { title: 'Mother', under: 'stock' },
    },
    { path: '/bench', name: 'bench', component: () => import('./bench/Bench.vue'), meta: { title: 'Bench' } },
    {
      path: '/bench/sums',
      name: 'sums',
      component: () => import('./bench/sums/Sums.vue'),
      meta: { title: 'Sums', under: 'bench' },
    },
    {
      path: '/bench/shopping',
      name: 'shopping',
      component: () => import('./bench/Shopping.vue'),
      meta: { title: 'Shopping list', under: 'bench' },
    },
    {
      path: '/bench/labels',
      name: 'labels',
      component: () => import('./bench/Labels.vue'),
      meta: { title: 'Labels', under: 'bench' },
    },
    {
      path: '/bench/trials',
      name: 'trials',
      component: () => import('./bench/trials/Trials.vue'),
      meta: { title: 'Trials', under: 'bench' },
    },
    {
      path: '/bench/trials/:id(\\d+)',
      name: 'trial',
      component: () => import('./bench/trials/TrialPage.vue'),
      meta: { title: 'Trial', under: 'bench' },
    },
    { path: '/me', name: 'me', component: () => import('./me/Account.vue'), meta: { title: 'Your account' } },
    {
      path: '/house/log',
      name: 'security-log',
      component: () => import('./house/SecurityLog.vue'),
      meta: { title: 'Who did what', under: 'house' },
    },
    {
      path: '/shed',
      name: 'shed',
      component: () => import('./shed/Shed.vue'),
      meta: { title: 'Potting shed' },
    },
    {
      path: '/shed/pot',
      name: 'potting',
      component: () => import('./shed/Potting.vue'),
      meta: { title: 'Pot', under: 'shed' },
    },
    {
      path: '/shed/ladder',
      name: 'ladder',
      component: () => import('./shed/LadderPage.vue'),
      meta: { title: 'The ladder', under: 'shed' },
    },
    {
      path: '/layers/:code/papers',
      name: 'passport',
      component: () => import('./shed/Passport.vue'),
      meta: { title: 'Papers', under: 'layers' },
    },
    {
      path: '/layers',
      name: 'layers',
      component: () => import('./layers/Layers.vue'),
      meta: { title: 'Layers' },
    },
    {
      path: '/layers/:code',
      name: 'layer',
      component: () => import('./layers/LayerPage.vue'),
      meta: { title: 'Layer', under: 'layers' },
    },
    {
      path: '/ledger',
      name: 'ledger',
      component: () => import('./ledger/Ledger.vue'),
      meta: { title: 'Ledger' },
    },
    {
      path: '/ledger/times',
      name: 'ready-times',
      component: () => import('./ledger/ReadyTimes.vue'),
      meta: { title: 'Time to a full ball', under: 'ledger' },
    },
    {
      path: '/ledger/dates',
      name: 'backtest',
      component: () => import('./ledger/Backtest.vue'),
      meta: { title: 'How good were the dates?', under: 'ledger' },
    },
    { path: '/house', name: 'house', component: () => import('./house/House.vue'), meta: { title: 'House' } },
    {
      path: '/house/records',
      name: 'records',
      component: () => import('./house/exchange/RecordsInOut.vue'),
      meta: { title: 'Records in and out', under: 'house' },
    },
    {
      path: '/house/records/:fileId',
      name: 'import',
      component: () => import('./house/exchange/ImportPage.vue'),
      props: true,
      meta: { title: 'A file', under: 'house' },
    },
    {
      path: '/device',
      name: 'device',
      component: () => import('./shared/device/DevicePage.vue'),
      meta: { title: 'On this device', under: 'round' },
    },
    {
      path: '/first-owner',
      name: 'first-owner',
      component: () => import('./house/FirstOwner.vue'),
      meta: { title: 'First owner', open: true },
    },
    { path: '/:rest(.*)*', redirect: { name: 'round' } },
  ],
})

router.afterEach((to) => {
  document.title = `${to.params.code ?? to.meta.title} · Kind Girdle`
})
