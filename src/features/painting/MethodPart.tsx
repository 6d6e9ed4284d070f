import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import { unlaidPassages, type Painting } from '@/core/painting';
import { changeMethod } from '@/core/painting/start';
import { METHOD_KEYS } from '@/data/method-keys';
import { METHODS } from '@/data/methods';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Problem } from '@/ui/Says';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Build it by another method from now on. */
export function MethodPart({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const [method, setMethod] = useState(painting.method);
  const [refusal, setRefusal] = useState<string | null>(null);
  const goes = painting.coats.filter(
    (c) => unlaidPassages(painting, c).length === c.passageIds.length,
  ).length;
  const keep = () => {
    try {
      dispatch(
        changePainting(painting.id, `Method: ${METHODS[method].name}`, (p, m) =>
          changeMethod(p, method, m),
        ),
      );
      setRefusal(null);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setRefusal(error.message);
    }
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading>Method</Heading>
      <Choice
        label="How it is built from now on"
        stacked
        options={METHOD_KEYS.map((key) => ({ key, name: METHODS[key].name }))}
        value={method}
        onChange={setMethod}
      />
      {method !== painting.method ? (
        <>
          <Notice>
            {`What is laid stays as it is. ${goes === 0 ? 'No coat is' : goes === 1 ? 'One coat that is' : `${goes} coats that are`} still to come ${goes === 1 ? 'goes' : 'go'}; those of the new method that come after what is laid take their place, judged as ${METHODS[method].name.toLowerCase()} asks.`}
          </Notice>
          <Problem says={refusal} />
          <Action
            title="Lay out the rest anew"
            kind="primary"
            onPress={keep}
            style={{ alignSelf: 'flex-start' }}
          />
        </>
      ) : null}
    </View>
  );
}
