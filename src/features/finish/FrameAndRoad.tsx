import { useMemo } from 'react';
import { View } from 'react-native';
import { USUAL_DEPTH_MM, USUAL_FRAME } from '@/data/finish';
import { DAY_MS } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { finishingOf, setFinishing } from '@/core/finish/edit';
import { frameFit, reliefMm } from '@/core/finish/frame';
import { journeyOutlook, type JourneyOutlook } from '@/core/finish/journey';
import { frameSchema, journeySchema, type FrameFacts, type Journey } from '@/core/finish/schema';
import { PACKINGS, type Packing } from '@/core/finish/vocabulary';
import type { Painting, PaintingAssessment } from '@/core/painting';
import { useLiveForm } from '@/forms';
import { changePainting } from '@/store/actions';
import { nowMs } from '@/store/clock';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';

const usualFrame = ({ support }: Painting): FrameFacts => ({
  ...USUAL_FRAME,
  supportMm: USUAL_DEPTH_MM[support.kind],
});

/** Whether it goes into its frame, and how it may travel. */
export function FrameAndRoad({ assessment }: { assessment: PaintingAssessment }) {
  return (
    <TwoColumns
      left={<Frame key={`frame:${assessment.painting.id}`} assessment={assessment} />}
      right={<Road key={`road:${assessment.painting.id}`} assessment={assessment} />}
    />
  );
}

function Frame({ assessment }: { assessment: PaintingAssessment }) {
  const dispatch = useStoreDispatch();
  const now = useNow();
  const { painting } = assessment;
  const kept = finishingOf(painting).frame;
  const document = useMemo(() => kept ?? usualFrame(painting), [kept, painting]);
  const form = useLiveForm(
    { key: `frame:${painting.id}`, schema: frameSchema, document },
    (frame: FrameFacts) =>
      dispatch(
        changePainting(painting.id, 'Measured the frame', (p, m) => setFinishing(p, { frame }, m)),
      ),
  );
  const facts = form.value ?? document;
  const { wrappedFromMs } = journeyOutlook(assessment, STUDIO_HANDBOOK.constants, {
    leavesAt: new Date(now).toISOString(),
    days: 0,
    packing: 'carried',
  });
  const dry = wrappedFromMs !== null && wrappedFromMs <= now;
  const fit = frameFit(facts, reliefMm(assessment), dry);
  return (
    <View style={{ gap: space.s }}>
      <Heading>Frame</Heading>
      <Stepper
        label="Depth of the rebate"
        unit="mm"
        step={1}
        min={0}
        max={200}
        {...form.number('rebateMm', 'number')}
      />
      <Stepper
        label="Depth of stretcher or panel"
        unit="mm"
        step={1}
        min={0}
        max={200}
        {...form.number('supportMm', 'number')}
      />
      <Stepper
        label="Spacer before the paint"
        unit="mm"
        step={1}
        min={0}
        max={50}
        {...form.number('spacerMm', 'number')}
      />
      <Tick
        title="Behind glass"
        checked={facts.glazed}
        onPress={() => form.put('glazed', !facts.glazed)}
      />
      <Text strong>
        {fit.leftMm >= 0
          ? `It goes in: ${fit.neededMm.toFixed(1)} mm of ${facts.rebateMm} mm, ${fit.leftMm.toFixed(1)} mm are left behind it.`
          : `It stands out by ${(-fit.leftMm).toFixed(1)} mm: build the back up with strips, or take a deeper frame.`}
      </Text>
      <Text tone="ink2">
        {`Reckoned with ${fit.reliefMm.toFixed(1)} mm of paint at its thickest, the backing board${facts.glazed ? ', the glass' : ''} and the spacer.`}
      </Text>
      {fit.spacerEnough ? null : (
        <Notice tone="refusal">
          {`The spacer is too thin: at least ${fit.leastSpacerMm.toFixed(1)} mm keep ${facts.glazed ? 'the glass' : 'the lip'} off ${dry ? 'the paint' : 'paint that is not dry through'}.`}
        </Notice>
      )}
    </View>
  );
}

const PACKING_WORDS: Record<Packing, { name: string; blurb: string }> = {
  wrapped: { name: 'wrapped', blurb: 'glassine and board; paint not pressed' },
  'face-free': {
    name: 'face free in a box',
    blurb: 'corners held, air holes, nothing touches the paint',
  },
  carried: { name: 'carried', blurb: 'by hand, face free' },
};
const MAY_WORDS: Record<JourneyOutlook['may'], string> = {
  wrapped: 'On that day it may be wrapped: every film is through-dry, nine chances in ten.',
  'face-free':
    'On that day it is only touch-dry: never wrapped. Face free in a box with air to it, or carried.',
  'not-yet': 'On that day it marks when it is held. It stays in the studio.',
};

function Road({ assessment }: { assessment: PaintingAssessment }) {
  const dispatch = useStoreDispatch();
  const { painting } = assessment;
  const kept = finishingOf(painting).journey;
  const put = (journey: Journey | undefined) =>
    dispatch(
      changePainting(painting.id, journey ? 'Planned the journey' : 'No journey', (p, m) =>
        setFinishing(p, { journey }, m),
      ),
    );
  if (!kept)
    return (
      <View style={{ gap: space.s }}>
        <Heading>On the road</Heading>
        <Text>When it leaves decides how it may be packed.</Text>
        <Action
          title="It has to travel"
          onPress={() =>
            put({
              leavesAt: new Date(nowMs() + 14 * DAY_MS).toISOString(),
              days: 1,
              packing: 'face-free',
            })
          }
          style={{ alignSelf: 'flex-start' }}
        />
      </View>
    );
  return <Travels assessment={assessment} kept={kept} put={put} />;
}

function Travels({
  assessment,
  kept,
  put,
}: {
  assessment: PaintingAssessment;
  kept: Journey;
  put: (journey: Journey | undefined) => void;
}) {
  const form = useLiveForm(
    { key: `journey:${assessment.painting.id}`, schema: journeySchema, document: kept },
    put,
  );
  const facts = form.value ?? kept;
  const outlook = journeyOutlook(assessment, STUDIO_HANDBOOK.constants, facts);
  const from = (ms: number | null) => (ms === null ? 'not in this air' : dayMonthYear(ms));
  return (
    <View style={{ gap: space.s }}>
      <Heading>On the road</Heading>
      <DateField label="Leaves" withTime {...form.moment('leavesAt')} />
      <Stepper
        label="Days on the road"
        unit="d"
        step={1}
        min={0}
        max={200}
        {...form.number('days', 'number')}
      />
      <Choice
        label="How it is packed"
        stacked
        options={PACKINGS.map((key) => ({ key, ...PACKING_WORDS[key] }))}
        value={facts.packing}
        onChange={(packing) => form.put('packing', packing)}
      />
      <Text strong>{MAY_WORDS[outlook.may]}</Text>
      {outlook.fits ? null : (
        <Notice tone="refusal">
          That is more than it bears. Pack it otherwise, or send it later.
        </Notice>
      )}
      <Text tone="ink2">
        {`Held and carried from ${from(outlook.carriedFromMs)}, wrapped from ${from(outlook.wrappedFromMs)}; arrives ${dayMonthYear(outlook.arrivesMs)}. What is wrapped fresh takes the print of its paper, and dries badly in the dark.`}
      </Text>
      <Action
        title="No journey"
        kind="quiet"
        onPress={() => put(undefined)}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}
