export {
  clusterRows,
  comingReady,
  today,
  todayRow,
  TODAY_GROUPS,
  type TodayCluster,
  type TodayGroup,
  type TodayReason,
  type TodayRow,
} from './today';
