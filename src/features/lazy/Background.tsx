import { LearnFromTests } from '@/features/learn/LearnFromTests';
import { LoggerLine } from '@/features/climate/LoggerLine';

/** What goes on behind every screen: learning from tests, listening to the logger. */
export function Background() {
  return (
    <>
      <LearnFromTests />
      <LoggerLine />
    </>
  );
}
