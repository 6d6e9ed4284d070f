export {
  comingReady,
  today,
  TODAY_GROUPS,
  type TodayGroup,
  type TodayReason,
  type TodayRow,
} from './today';
