import { useRouter } from 'expo-router';
import { useState } from 'react';
import type { PaintingAssessment } from '@/core/painting';
import { paintingAddress } from '@/features/addresses';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { useAssessment } from '@/store/hooks';
import { Choice } from '@/ui/Choice';
import { Screen, WIDE } from '@/ui/Screen';
import { FrameAndRoad } from './FrameAndRoad';
import { LookOver } from './LookOver';
import { Mending } from './Mending';
import { Stopping } from './Stopping';
import { VarnishPart } from './VarnishPart';

const PARTS = [
  { key: 'look', name: 'look it over' },
  { key: 'mend', name: 'what bothers' },
  { key: 'stop', name: 'when to stop' },
  { key: 'varnish', name: 'varnish' },
  { key: 'road', name: 'frame and road' },
] as const;
type Part = (typeof PARTS)[number]['key'];

/** The last tenth of a picture: from nearly there to the wall. */
export function FinishScreen({ id }: { id: string }) {
  const router = useRouter();
  const assessment = useAssessment(id);
  const [part, setPart] = useState<Part>('look');
  if (!assessment) return <NotHereScreen what="That painting" />;
  return (
    <Screen
      title="Finish"
      subtitle={assessment.painting.title}
      onBack={() => router.navigate(paintingAddress(id))}
      maxWidth={WIDE}
    >
      <Choice label="Part" hideLabel options={[...PARTS]} value={part} onChange={setPart} />
      <Shown part={part} assessment={assessment} onBothers={() => setPart('mend')} />
    </Screen>
  );
}

function Shown({
  part,
  assessment,
  onBothers,
}: {
  part: Part;
  assessment: PaintingAssessment;
  onBothers: () => void;
}) {
  switch (part) {
    case 'look':
      return <LookOver assessment={assessment} onBothers={onBothers} />;
    case 'mend':
      return <Mending assessment={assessment} />;
    case 'stop':
      return <Stopping assessment={assessment} />;
    case 'varnish':
      return <VarnishPart assessment={assessment} />;
    case 'road':
      return <FrameAndRoad assessment={assessment} />;
  }
}
