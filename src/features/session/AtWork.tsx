import { useState } from 'react';
import { View } from 'react-native';
import { GATES } from '@/data/gates';
import type { Painting } from '@/core/painting';
import { passGate, reworkOf } from '@/core/painting/notes-of';
import type { Work } from '@/core/session';
import { changePainting } from '@/store/actions';
import { usePainting, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { CorrectionSheet } from './CorrectionSheet';

/** Corrections, gates and rework of what is in hand. */
export function AtWork({ work }: { work: Work }) {
  const painting = usePainting(work.paintingId);
  const [correcting, setCorrecting] = useState(false);
  if (!painting) return null;
  return (
    <View style={{ gap: space.xs }}>
      <Heading>{`At work on ${painting.title}`}</Heading>
      <Gates painting={painting} coatId={work.coatId} />
      {work.passageIds.map((id) => {
        const { planned, laid, reworked } = reworkOf(painting, id);
        const name = painting.passages.find((p) => p.id === id)?.name;
        return reworked > 0 || laid > planned ? (
          <Text key={id} size="small" tone="ink2">
            {`${name}: ${laid} coats laid of ${planned} in the method, reworked ${reworked} ${reworked === 1 ? 'time' : 'times'}`}
          </Text>
        ) : null;
      })}
      <Action
        title="Correction"
        onPress={() => setCorrecting(true)}
        style={{ alignSelf: 'flex-start' }}
      />
      {correcting ? (
        <CorrectionSheet
          painting={painting}
          passageIds={work.passageIds}
          onClose={() => setCorrecting(false)}
        />
      ) : null}
    </View>
  );
}

function Gates({ painting, coatId }: { painting: Painting; coatId: string | null }) {
  const dispatch = useStoreDispatch();
  const role = painting.coats.find((c) => c.id === coatId)?.role;
  const passed = new Set((painting.gates ?? []).map((g) => g.id));
  const gates = GATES.filter((g) => g.role === role);
  return (
    <>
      {gates.map((gate) => (
        <Tick
          key={gate.id}
          title={gate.question}
          checked={passed.has(gate.id)}
          onPress={() =>
            dispatch(
              changePainting(painting.id, gate.question, (p, making) =>
                passGate(p, gate.id, !passed.has(gate.id), making),
              ),
            )
          }
        />
      ))}
    </>
  );
}
