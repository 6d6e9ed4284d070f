import { View } from 'react-native';
import { type Painting } from '@/core/painting';
import { followSchool } from '@/core/painting/coats';
import { SCHOOL_KEYS, SCHOOLS } from '@/core/schools';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Choice } from '@/ui/Choice';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Which school judges this painting; its rule in one sentence. */
export function SchoolChoice({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const school = SCHOOLS[painting.school];
  return (
    <View style={{ marginVertical: space.l }}>
      <Heading style={{ marginBottom: space.s }}>Judged by</Heading>
      <Choice
        label="School of fat over lean"
        hideLabel
        options={SCHOOL_KEYS.map((key) => ({ key, name: SCHOOLS[key].name }))}
        value={painting.school}
        onChange={(key) =>
          dispatch(
            changePainting(painting.id, `Judged by "${SCHOOLS[key].name}"`, (p, making) =>
              followSchool(p, key, making),
            ),
          )
        }
      />
      <Text size="small" tone="ink2">
        {school.statement}
      </Text>
    </View>
  );
}
