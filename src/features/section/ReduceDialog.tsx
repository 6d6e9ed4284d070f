import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import { HOW_REDUCED, type HowReduced, type Painting } from '@/core/painting';
import { reduceFilm } from '@/core/painting/events';
import type { Left } from '@/data/applications';
import { ruleOf } from '@/core/rules/records';
import { changePainting } from '@/store/actions';
import { nowMs as presentMs } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { WhenChoice, whenIso, whenNow } from './WhenChoice';

interface Props {
  painting: Painting;
  passageId: string;
  spotName: string | null;
  filmName: string;
  nowMs: number;
  onClose: () => void;
}

const HOW_NAMES: Record<HowReduced, string> = {
  wiped: 'wiped back',
  scraped: 'scraped',
  sanded: 'sanded',
  'painted-out': 'painted out',
};
const LEFT_OPTIONS: { key: Left; name: string }[] = [
  { key: 'all', name: 'all' },
  { key: 'half', name: 'half' },
  { key: 'trace', name: 'a trace' },
];

/** The top film was wiped back, scraped or painted out, and this much of it is left. */
export function ReduceDialog({ painting, passageId, spotName, filmName, nowMs, onClose }: Props) {
  const dispatch = useStoreDispatch();
  const [how, setHow] = useState<HowReduced>('wiped');
  const [left, setLeft] = useState<Left>('half');
  const [when, setWhen] = useState(() => whenNow(nowMs));
  const [refusal, setRefusal] = useState<string | null>(null);
  const record = () => {
    try {
      const at = whenIso(when, when.when === 'now' ? presentMs() : nowMs);
      dispatch(
        changePainting(painting.id, `${HOW_NAMES[how]}: ${filmName.toLowerCase()}`, (p, making) =>
          reduceFilm(p, { passageId, spotName, at, how, left }, making),
        ),
      );
      onClose();
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setRefusal(error.message);
    }
  };
  return (
    <Sheet name={filmName} onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{filmName}</Heading>
        <Choice
          label="It was"
          options={HOW_REDUCED.map((key) => ({ key, name: HOW_NAMES[key] }))}
          value={how}
          onChange={(key) => {
            setHow(key);
            setLeft(key === 'painted-out' ? 'all' : 'half');
          }}
        />
        <Choice label="What is left of it" options={LEFT_OPTIONS} value={left} onChange={setLeft} />
        {how === 'painted-out' ? (
          <Text size="small" tone="ink2">
            A covering coat is put first in the plan of this passage. Edit it, and lay it.
          </Text>
        ) : null}
        {how === 'sanded' ? (
          <Notice tone="refusal">
            {`${ruleOf('dry-sanding').says} ${ruleOf('dry-sanding').mend}`}
          </Notice>
        ) : null}
        <WhenChoice value={when} onChange={setWhen} />
        {refusal ? <Notice tone="refusal">{refusal}</Notice> : null}
        <Action title="Note it" kind="primary" onPress={record} />
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
