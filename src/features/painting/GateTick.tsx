import type { Gate } from '@/data/gates';
import { passGate } from '@/core/painting/notes-of';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Tick } from '@/ui/Tick';

/** A question of a stage, answered or not: the same wherever it is asked. */
export function GateTick({ painting, gate }: { painting: Painting; gate: Gate }) {
  const dispatch = useStoreDispatch();
  const passed = (painting.gates ?? []).some((g) => g.id === gate.id);
  return (
    <Tick
      title={gate.question}
      checked={passed}
      onPress={() =>
        dispatch(
          changePainting(painting.id, gate.question, (p, making) =>
            passGate(p, gate.id, !passed, making),
          ),
        )
      }
    />
  );
}
