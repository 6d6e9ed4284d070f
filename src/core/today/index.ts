export {
  clusterRows,
  coatsAtOnce,
  comingReady,
  inPassageOrder,
  today,
  todayRow,
  TODAY_GROUPS,
  type TodayCluster,
  type TodayGroup,
  type TodayReason,
  type TodayRow,
} from './today';
