import { Pressable } from 'react-native';
import { Icon } from './Icon';
import { closeIcon } from './desk-icons';
import { colour, TARGET } from './tokens';

/** Takes one line out of a list: a cross as large as a finger, named after what goes. */
export function TakeOut({ name, onPress }: { name: string; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      aria-label={`Take out ${name}`}
      onPress={onPress}
      style={{ width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' }}
    >
      <Icon path={closeIcon} tint={colour.ink2} />
    </Pressable>
  );
}
