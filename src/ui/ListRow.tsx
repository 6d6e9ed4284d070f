import type { ReactNode } from 'react';
import type { StyleProp, ViewStyle } from 'react-native';
import { ListItemBase } from '@rneui/base/dist/ListItem/ListItem';
import { GoTo } from './GoTo';
import { colour, space, TARGET } from './tokens';

interface Props {
  href: string;
  onGo: () => void;
  label?: string;
  /** The one that is open beside the list. */
  here?: boolean;
  style?: StyleProp<ViewStyle>;
  children: ReactNode;
}

/**
 * A row of a list that leads somewhere: the library's row in a link of ours. The library's own press would make it a
 * button, which other tabs and readers could not follow; the parts with icon fonts stay out.
 */
export function ListRow({ href, onGo, label, here = false, style, children }: Props) {
  return (
    <GoTo href={href} onGo={onGo} {...(label ? { label } : {})}>
      <ListItemBase
        // The gap of the row is its own; the library's would come on top of it.
        pad={0}
        containerStyle={[
          {
            minHeight: TARGET,
            gap: space.m,
            padding: 0,
            paddingVertical: space.s,
            paddingHorizontal: space.xs,
            backgroundColor: here ? colour.sheet : 'transparent',
            borderBottomWidth: 1,
            borderBottomColor: colour.rule,
          },
          style,
        ]}
      >
        {children}
      </ListItemBase>
    </GoTo>
  );
}
