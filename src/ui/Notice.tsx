import { alertOutlineIcon, informationOutlineIcon } from './icons';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Icon } from './Icon';
import { Text } from './Text';
import { colour, space } from './tokens';

/** Something to heed: a caution, a refusal, a failure. Never colour alone. */
export function Notice({
  tone = 'note',
  children,
  action,
}: {
  tone?: 'note' | 'refusal';
  children: ReactNode;
  action?: ReactNode;
}) {
  const ink = tone === 'refusal' ? colour.brick : colour.ink2;
  return (
    <View
      role={tone === 'refusal' ? 'alert' : 'note'}
      style={{
        flexDirection: 'row',
        gap: space.s,
        paddingVertical: space.s,
        borderTopWidth: 1,
        borderTopColor: colour.rule,
      }}
    >
      <View style={{ paddingTop: 2 }}>
        <Icon
          path={tone === 'refusal' ? alertOutlineIcon : informationOutlineIcon}
          size={20}
          tint={ink}
        />
      </View>
      <View style={{ flex: 1, gap: space.s }}>
        <Text size="small" tone={tone === 'refusal' ? 'brick' : 'ink2'} strong={tone === 'refusal'}>
          {children}
        </Text>
        {action}
      </View>
    </View>
  );
}
