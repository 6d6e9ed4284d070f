import LinearProgress from '@rneui/themed/dist/LinearProgress';
import { colour } from './tokens';

const PERCENT = 100;

/** How far something is. @param done 0 to 1 */
export function Progress({ name, done }: { name: string; done: number }) {
  return (
    <LinearProgress
      role="progressbar"
      aria-label={name}
      aria-valuenow={Math.round(done * PERCENT)}
      aria-valuemin={0}
      aria-valuemax={PERCENT}
      variant="determinate"
      value={done}
      animation={false}
      color={colour.tawny}
      trackColor={colour.well}
      style={{ flex: 1 }}
    />
  );
}
