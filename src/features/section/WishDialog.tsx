import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { type Painting } from '@/core/painting';
import { changeCoat } from '@/core/painting/coats';
import { wishSentence, type Wish, type WishAnswer } from '@/core/repair';
import { SCHOOLS } from '@/core/schools';
import { useSolved } from '@/features/useSolved';
import { changePainting } from '@/store/actions';
import { useSolverAir, useStoreDispatch } from '@/store/hooks';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { about } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { solveWishes } from '@/workers/client';

const HOUR_MS = 3_600_000;
const CHANCES = { '0.5': 0.5, '0.75': 0.75, '0.9': 0.9 } as const;
type ChanceKey = keyof typeof CHANCES;
const CHANCE_NAMES: Record<ChanceKey, string> = {
  '0.5': '1 in 2',
  '0.75': '3 in 4',
  '0.9': '9 in 10',
};

interface Props {
  painting: Painting;
  coatId: string;
  coatName: string;
  nowMs: number;
  onClose: () => void;
}

/** A wish in time leads back to oil, medium and thickness. */
export function WishDialog({ painting, coatId, coatName, nowMs, onClose }: Props) {
  const dispatch = useStoreDispatch();
  const [kind, setKind] = useState<Wish['kind']>('dry-by');
  const [hours, setHours] = useState('24');
  const [chance, setChance] = useState<ChanceKey>('0.9');
  const around = useSolverAir();
  const inHours = parseNumber(hours);
  const valid = Number.isFinite(inHours) && inHours > 0;
  const atMs = nowMs + inHours * HOUR_MS;
  const ask = useMemo(
    () =>
      valid
        ? () =>
            solveWishes({
              painting,
              coatId,
              school: painting.school,
              ...around,
              nowMs,
              wish: { kind, atMs, layAtMs: nowMs, chance: CHANCES[chance] },
            })
        : null,
    [painting, coatId, kind, atMs, nowMs, chance, around, valid],
  );
  const { value: answers, pending, failure } = useSolved(ask);
  const take = (answer: WishAnswer) => {
    dispatch(
      changePainting(painting.id, `Changed ${coatName.toLowerCase()} for its time`, (p, making) =>
        changeCoat(p, answer.changed, false, making),
      ),
    );
    onClose();
  };
  return (
    <Sheet name="A wish in time" onClose={onClose}>
      <View style={{ gap: space.m }}>
        <Heading>{`${coatName}, laid now`}</Heading>
        <Choice
          label="It should be"
          hideLabel
          options={[
            { key: 'dry-by', name: 'touch-dry by' },
            { key: 'open-until', name: 'open until' },
          ]}
          value={kind}
          onChange={(key) => {
            setKind(key);
            setHours(key === 'dry-by' ? '24' : '6');
          }}
        />
        <Stepper
          label="Hours from now"
          unit="h"
          step={kind === 'dry-by' ? 6 : 1}
          min={1}
          max={2000}
          text={hours}
          onChangeText={setHours}
          error={valid ? undefined : 'Must be a number of hours above 0.'}
        />
        {valid ? <Text strong>{about(atMs, nowMs)}</Text> : null}
        <Choice
          label="With a chance of"
          options={(Object.keys(CHANCES) as ChanceKey[]).map((key) => ({
            key,
            name: CHANCE_NAMES[key],
          }))}
          value={chance}
          onChange={setChance}
        />
        {failure ? <Notice tone="refusal">{failure}</Notice> : null}
        {pending ? <Text tone="ink2">Looking for what would grant it …</Text> : null}
        {answers?.length === 0 ? (
          <Text tone="ink2">
            Nothing sound grants it: what it would take is over the cap, or a rule refuses it. Ask
            for less, or change the mix.
          </Text>
        ) : (
          answers?.map((answer) => (
            <Answer
              key={answer.lever}
              answer={answer}
              painting={painting}
              nowMs={nowMs}
              onTake={take}
            />
          ))
        )}
        <Action title="Close" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}

function Answer({
  answer,
  painting,
  nowMs,
  onTake,
}: {
  answer: WishAnswer;
  painting: Painting;
  nowMs: number;
  onTake: (answer: WishAnswer) => void;
}) {
  const reached = answer.reachedAtMs === null ? 'never' : about(answer.reachedAtMs, nowMs);
  const school = SCHOOLS[painting.school].name.toLowerCase();
  const holds = answer.holds ? `It keeps to ${school}.` : `It breaks with ${school}.`;
  return (
    <View style={{ gap: space.xs }}>
      <Text strong>{wishSentence(answer)}</Text>
      <Text size="small" tone="ink2">{`Then ${reached}. ${holds}`}</Text>
      {answer.lever === 'as-it-is' ? null : (
        <Action
          title="Change the coat so"
          kind={answer.holds ? 'primary' : 'plain'}
          onPress={() => onTake(answer)}
        />
      )}
    </View>
  );
}
