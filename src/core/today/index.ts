export {
  clusterRows,
  comingReady,
  today,
  TODAY_GROUPS,
  type TodayCluster,
  type TodayGroup,
  type TodayReason,
  type TodayRow,
} from './today';
