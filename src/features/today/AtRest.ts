/** What Today shows once it can be read: in one piece, for six small ones cost more on the line than they hold. */
export { ExportReminder } from '@/features/keep/ExportReminder';
export { DaylightBand } from './DaylightBand';
export { Finished } from './Finished';
export { LookAgain } from './LookAgain';
export { HoursAtHand } from './HoursAtHand';
export { WorthATouch } from './WorthATouch';
