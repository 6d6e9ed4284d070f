export { comingReady, today } from './today';
export { clusterRows, inPassageOrder, type TodayCluster } from './order';
export {
  coatsAtOnce,
  todayRow,
  TODAY_GROUPS,
  type TodayGroup,
  type TodayReason,
  type TodayRow,
} from './row';
