import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { FINISH } from '@/data/finish';
import { DAY_MS } from '@/core/drying';
import { answerMends, finishingOf, setFinishing } from '@/core/finish/edit';
import { curveOf } from '@/core/finish/curve';
import { botherCounts } from '@/core/finish/sorted';
import { standingOf, type Standing } from '@/core/finish/stopping';
import { finishingSchema } from '@/core/finish/schema';
import { STOPPING_RULES, type StoppingRule } from '@/core/finish/vocabulary';
import { isOnEasel, type Painting, type PaintingAssessment } from '@/core/painting';
import { putOnEasel } from '@/core/painting/easel';
import { easelWords } from '@/features/easel-words';
import { FromPhotos } from '@/features/look/FromPhotos';
import { usePictures } from '@/features/look/usePictures';
import { useSessions } from '@/features/session/useSession';
import { useNumberText } from '@/forms';
import { changePainting } from '@/store/actions';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { HoursCurve } from './HoursCurve';

const RULE_WORDS: Record<StoppingRule, { name: string; blurb: string }> = {
  'two-looks': {
    name: 'nothing bothers in two looks a week apart',
    blurb: 'whole looks, with nothing noted in them or painted between them',
  },
  'only-change': {
    name: 'the next edit would only change, not mend',
    blurb: 'you answer for it, whenever you are about to go on',
  },
  'hours-spent': {
    name: 'the hours agreed are spent',
    blurb: 'with a client, a gallery or yourself',
  },
};

const hoursWords = (hours: number): string => `${Number(hours.toFixed(1))} h`;

/** How it stands to the chosen rule. Whether it is finished the painter says. */
function standingWords(s: Standing): string {
  if (s.met) return 'By your rule it may rest. Whether it is finished, you say.';
  switch (s.missing) {
    case 'look':
      return 'A whole look without a find is still wanted, then another a week later.';
    case 'second-look':
      return `One look found nothing to mend. The second counts from ${dayMonthYear(s.lookFromMs!)} on.`;
    case 'bothers':
      return 'Something on the list still bothers: mend it, or leave it on purpose.';
    case 'answer':
      return 'Nobody has answered yet. Would the next edit mend something?';
    case 'still-mends':
      return 'The last answer was that the next edit would mend something.';
    case 'agreement':
      return 'Say below how many hours were agreed on.';
    default:
      return `${hoursWords(s.hours)} of ${hoursWords(s.agreedHours!)} are spent.`;
  }
}

/** What the hours still change, and by which rule to stop. */
export function Stopping({ assessment: { painting } }: { assessment: PaintingAssessment }) {
  const dispatch = useStoreDispatch();
  const now = useNow();
  const curve = curveOf(painting, useSessions(), now);
  const hours = curve.sittings.at(-1)?.hours ?? 0;
  const { rule } = finishingOf(painting);
  const change = (what: string, run: Parameters<typeof changePainting>[2]) =>
    dispatch(changePainting(painting.id, what, run));
  const rest = () =>
    change('Left it a week', (p, m) =>
      putOnEasel(
        p,
        {
          kind: 'resting',
          since: m.now,
          until: new Date(Date.parse(m.now) + FINISH.restDays * DAY_MS).toISOString(),
        },
        m,
      ),
    );
  return (
    <TwoColumns
      left={
        <View style={{ gap: space.m }}>
          <Heading>What the hours change</Heading>
          <HoursCurve curve={curve} />
          <CurveWords curve={curve} />
          <BotherWords painting={painting} />
          <PhotosSay key={painting.id} painting={painting} />
        </View>
      }
      right={
        <View style={{ gap: space.m }}>
          <Heading>When to stop</Heading>
          <Choice
            label="Your rule"
            stacked
            options={STOPPING_RULES.map((key) => ({ key, ...RULE_WORDS[key] }))}
            value={rule ?? null}
            onChange={(key) =>
              change('Chose when to stop', (p, m) => setFinishing(p, { rule: key }, m))
            }
          />
          {rule ? <Text strong>{standingWords(standingOf(painting, rule, hours))}</Text> : null}
          {rule === 'only-change' ? (
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
              <Action
                title="It would mend something"
                onPress={() => change('Answered', (p, m) => answerMends(p, true, m))}
              />
              <Action
                title="It would only change it"
                onPress={() => change('Answered', (p, m) => answerMends(p, false, m))}
              />
            </View>
          ) : null}
          {rule === 'hours-spent' ? <AgreedHours key={painting.id} painting={painting} /> : null}
          <Text tone="ink2">{easelWords(painting, now)}.</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
            {isOnEasel(painting, now) ? (
              <Action title="Leave it a week" onPress={rest} />
            ) : (
              <Action
                title="Back on the easel"
                onPress={() =>
                  change(`${painting.title}: on the easel`, (p, m) => putOnEasel(p, null, m))
                }
              />
            )}
            {painting.easel?.kind === 'finished' || painting.easel?.kind === 'gone' ? null : (
              <Action
                title="It is finished"
                onPress={() =>
                  change(`${painting.title}: finished`, (p, m) =>
                    putOnEasel(p, { kind: 'finished', at: m.now }, m),
                  )
                }
              />
            )}
          </View>
          <Text size="small" tone="ink2">
            Left alone it leaves the plan until that day; Today says when to look again.
          </Text>
        </View>
      }
    />
  );
}

function CurveWords({ curve }: { curve: ReturnType<typeof curveOf> }) {
  const { sittings, meanPerHour, lastPerHour, flattens } = curve;
  if (sittings.length === 0)
    return <Text tone="ink2">No session of the log worked on it yet.</Text>;
  if (meanPerHour === null || lastPerHour === null)
    return <Text tone="ink2">{`Fewer than ${FINISH.leastSittings} sittings make no curve.`}</Text>;
  const share = (v: number) => `${Math.round(v * 100)} % of the picture an hour`;
  return (
    <Text>
      {`Over all hours ${share(meanPerHour)} was painted, over the last quarter of them ${share(lastPerHour)}. ${flattens ? 'The curve flattens.' : 'It does not flatten yet.'} What that means for it, you say.`}
    </Text>
  );
}

function BotherWords({ painting }: { painting: Painting }) {
  const { found, closed } = botherCounts(painting);
  if (found === 0) return null;
  return (
    <Text tone="ink2">{`${found} ${found === 1 ? 'thing has' : 'things have'} bothered, ${closed} settled.`}</Text>
  );
}

/** The same by the photos, where there are two with their corners; they are looked at when that is asked for. */
function PhotosSay({ painting }: { painting: Painting }) {
  const all = usePictures(painting);
  const works = useMemo(() => all.filter((p) => p.kind === 'progress' && p.corners), [all]);
  const [asked, setAsked] = useState(false);
  const [width, setWidth] = useState(0);
  if (works.length < 2) return null;
  return (
    <View onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width))}>
      {asked && width > 0 ? (
        <FromPhotos painting={painting} works={works} width={width} />
      ) : (
        <Action
          title="What the photos say"
          onPress={() => setAsked(true)}
          style={{ alignSelf: 'flex-start' }}
        />
      )}
    </View>
  );
}

function AgreedHours({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const { agreedHours } = finishingOf(painting);
  const hours = useNumberText(agreedHours ?? 0, (value) => {
    const read = finishingSchema.shape.agreedHours.safeParse(value);
    if (!read.success) return read.error.issues[0]!.message;
    if (value !== agreedHours)
      dispatch(
        changePainting(painting.id, 'Agreed on hours', (p, m) =>
          setFinishing(p, { agreedHours: value }, m),
        ),
      );
    return null;
  });
  return <Stepper label="Hours agreed on" unit="h" step={5} min={1} max={10_000} {...hours} />;
}
