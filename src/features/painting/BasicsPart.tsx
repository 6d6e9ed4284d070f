import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import type { Painting } from '@/core/painting';
import { changeBasics } from '@/core/painting/start';
import { GroundFields, SupportFields } from '@/features/paintings/GroundFields';
import { newPaintingFormSchema } from '@/features/paintings/new-painting-form';
import { FormState, useForm } from '@/forms';
import { changePainting } from '@/store/actions';
import { useAssessOptions, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Problem } from '@/ui/Says';
import { space } from '@/ui/tokens';
import { basicsForm, basicsOf, judgedOtherwise } from './basics';

/** Size, support and ground, as they really are; what that does to coats that are laid is said before it is kept. */
export function BasicsPart({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const options = useAssessOptions();
  const units = useStoreSelector((s) => s.studio.units);
  const document = useMemo(() => basicsForm(painting), [painting]);
  const form = useForm({
    key: `basics:${painting.id}`,
    schema: newPaintingFormSchema,
    document,
  });
  const [refusal, setRefusal] = useState<string | null>(null);
  const { value } = form;
  const basics = useMemo(
    () => value && { ...basicsOf(painting, value), title: painting.title },
    [value, painting],
  );
  const changed =
    basics !== null && (basics.support !== painting.support || basics.ground !== painting.ground);
  const otherwise = useMemo(
    () => (basics && changed ? told(painting, basics, options) : []),
    [basics, changed, painting, options],
  );
  const keep = () => {
    try {
      form.keep(
        () =>
          basics &&
          dispatch(
            changePainting(painting.id, 'Changed support and ground', (p, m) =>
              changeBasics(p, { ...basics, title: p.title }, m),
            ),
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
      <FormState form={form} />
      <SupportFields form={form} units={units} />
      <GroundFields form={form} />
      {changed ? (
        <Notice>
          {otherwise.length === 0
            ? 'What is laid is judged as before.'
            : `Then it is said of what is laid: ${otherwise.join(' ')}`}
        </Notice>
      ) : null}
      <Problem says={refusal} />
      <Action
        title="Keep support and ground"
        kind="primary"
        onPress={keep}
        disabled={!changed}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

/** What would be said otherwise; nothing where the ground is refused, which is said when it is kept. */
function told(...args: Parameters<typeof judgedOtherwise>): string[] {
  try {
    return judgedOtherwise(...args);
  } catch (error) {
    if (error instanceof CoreError) return [error.message];
    throw error;
  }
}
