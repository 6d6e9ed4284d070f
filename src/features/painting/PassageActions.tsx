import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import type { Making, Painting, Passage } from '@/core/painting';
import {
  isUntouched,
  joinPassages,
  movePassage,
  removePassage,
  sameDone,
  splitPassage,
} from '@/core/painting/passages';
import { spotSchema } from '@/core/painting/schema';
import { useNumberText } from '@/forms';
import { useText } from '@/forms/useText';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

type Doing = { what: 'split' | 'join'; passage: Passage } | null;

/** Which passages there are, and in what order they are painted; each change is done at once and can be undone. */
export function PassageActions({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const [doing, setDoing] = useState<Doing>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const change = (what: string, make: (p: Painting, m: Making) => Painting): boolean => {
    try {
      dispatch(changePainting(painting.id, what, make));
      setRefusal(null);
      return true;
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setRefusal(error.message);
      return false;
    }
  };
  const close = () => setDoing(null);
  const alone = painting.passages.length === 1;
  return (
    <View style={{ gap: space.s }}>
      <Heading>Which passages there are</Heading>
      <Text size="small" tone="ink2">
        In the order you paint them, back to front or the focus first: Today, sessions and plan
        follow it.
      </Text>
      {painting.passages.map((passage, i) => (
        <View
          key={passage.id}
          style={{
            borderBottomWidth: 1,
            borderBottomColor: colour.rule,
            paddingVertical: space.xs,
          }}
        >
          <Text strong>{`${passage.name}, ${Math.round(passage.share * 100)} %`}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.xs }}>
            {i > 0 ? (
              <Action
                title="Earlier"
                kind="quiet"
                label={`Earlier: ${passage.name}`}
                onPress={() =>
                  change(`${passage.name} earlier`, (p, m) => movePassage(p, passage.id, -1, m))
                }
              />
            ) : null}
            {i < painting.passages.length - 1 ? (
              <Action
                title="Later"
                kind="quiet"
                label={`Later: ${passage.name}`}
                onPress={() =>
                  change(`${passage.name} later`, (p, m) => movePassage(p, passage.id, 1, m))
                }
              />
            ) : null}
            <Action
              title="Cut one out of it"
              kind="quiet"
              label={`Cut one out of it: ${passage.name}`}
              onPress={() => setDoing({ what: 'split', passage })}
            />
            {alone ? null : (
              <Action
                title="Join"
                kind="quiet"
                label={`Join: ${passage.name}`}
                onPress={() => setDoing({ what: 'join', passage })}
              />
            )}
            {!alone && isUntouched(painting, passage.id) ? (
              <Action
                title="Take out"
                kind="quiet"
                label={`Take out: ${passage.name}`}
                onPress={() =>
                  change(`Took out ${passage.name}`, (p, m) => removePassage(p, passage.id, m))
                }
              />
            ) : null}
          </View>
        </View>
      ))}
      <Problem says={refusal} />
      {doing?.what === 'split' ? (
        <SplitSheet
          passage={doing.passage}
          refusal={refusal}
          onSplit={(name, share) =>
            change(`Added ${name}`, (p, m) =>
              splitPassage(p, doing.passage.id, { name, share }, m),
            ) && close()
          }
          onClose={close}
        />
      ) : null}
      {doing?.what === 'join' ? (
        <JoinSheet
          painting={painting}
          passage={doing.passage}
          onJoin={(into) =>
            change(`Joined ${doing.passage.name}`, (p, m) =>
              joinPassages(p, doing.passage.id, into, m),
            ) && close()
          }
          onClose={close}
        />
      ) : null}
    </View>
  );
}

const THIRD = 3;
const FULL = 100;

function SplitSheet({
  passage,
  refusal,
  onSplit,
  onClose,
}: {
  passage: Passage;
  refusal: string | null;
  onSplit: (name: string, share: number) => void;
  onClose: () => void;
}) {
  const name = useText(`split:${passage.id}`, spotSchema.shape.name);
  const [percent, setPercent] = useState(Math.max(1, Math.round((passage.share * FULL) / THIRD)));
  const share = useNumberText(percent, (value) => {
    if (!(value > 0 && value < passage.share * FULL))
      return `Less than all of ${passage.name}, ${Math.round(passage.share * FULL)} %.`;
    setPercent(value);
    return null;
  });
  const split = () => {
    const called = name.accepted();
    if (called === null) return;
    onSplit(called, percent / FULL);
    name.done();
  };
  return (
    <Sheet name={`Out of ${passage.name}`} onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{`A passage out of ${passage.name}`}</Heading>
        <Text tone="ink2">
          {`What lies on ${passage.name} by now lies on the new one too, and what is planned there is planned for both.`}
        </Text>
        <Field label="Its name" value={name.text} onChangeText={name.set} error={name.error} />
        <Stepper
          label="Its share of the whole picture"
          unit="%"
          step={5}
          min={1}
          max={99}
          {...share}
        />
        <Problem says={refusal} />
        <Action title="Cut it out" kind="primary" onPress={split} />
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}

function JoinSheet({
  painting,
  passage,
  onJoin,
  onClose,
}: {
  painting: Painting;
  passage: Passage;
  onJoin: (intoId: string) => void;
  onClose: () => void;
}) {
  const others = painting.passages.filter((p) => p.id !== passage.id);
  const [into, setInto] = useState(others[0]!.id);
  const name = others.find((p) => p.id === into)!.name;
  return (
    <Sheet name={`Join ${passage.name}`} onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{`Join ${passage.name} to`}</Heading>
        <Choice
          label="Passage"
          options={others.map((p) => ({ key: p.id, name: p.name }))}
          value={into}
          onChange={setInto}
        />
        <Text tone="ink2">
          {sameDone(painting, passage.id, into)
            ? `The same was done on both: they become ${name}, without a seam.`
            : `Not the same was done on both: what lies on one of them alone stays there, as a part of ${name} that is called as it was.`}
        </Text>
        <Action title="Join them" kind="primary" onPress={() => onJoin(into)} />
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
