import { View } from 'react-native';
import { useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { colour, space } from '@/ui/tokens';

/** A new edition of the program is there: taken when the painter says so, and never offered in a session. */
export function EditionBar() {
  const edition = useStoreSelector((state) => state.edition);
  const inSession = useStoreSelector((state) =>
    Object.values(state.sessions.entities).some((session) => session.endedAt === null),
  );
  if (edition === 'current' || inSession) return null;
  const take = () =>
    edition === 'waiting'
      ? void import('./offline').then(({ takeEdition }) => takeEdition())
      : window.location.reload();
  return (
    <View style={{ paddingHorizontal: space.xl, backgroundColor: colour.sheet }}>
      <Notice action={<Action title="Take it now" onPress={take} />}>
        {edition === 'waiting'
          ? 'A new edition of Tawny Hour is there. The page is read anew with it; nothing that is kept is lost.'
          : 'Another tab has taken a new edition of Tawny Hour. Read this page anew to have it here too.'}
      </Notice>
    </View>
  );
}
