import { Text as NativeText, type TextProps } from 'react-native';
import { colour, font, type, type TypeSize } from './tokens';

interface Props extends TextProps {
  size?: TypeSize;
  strong?: boolean;
  tone?: 'ink' | 'ink2' | 'tawny' | 'brick' | 'onTawny';
}

/** Running text; figures stand in columns. */
export function Text({ size = 'body', strong = false, tone = 'ink', style, ...rest }: Props) {
  return (
    <NativeText
      {...rest}
      style={[
        type[size],
        {
          fontFamily: strong ? font.strong : font.text,
          color: colour[tone],
          fontVariant: ['tabular-nums', 'lining-nums'],
        },
        style,
      ]}
    />
  );
}

interface HeadingProps extends TextProps {
  size?: TypeSize;
  level?: 1 | 2 | 3;
  tone?: Props['tone'];
}

/** Headings and verdicts. */
export function Heading({ size = 'large', level = 2, tone = 'ink', style, ...rest }: HeadingProps) {
  return (
    <NativeText
      accessibilityRole="header"
      aria-level={level}
      {...rest}
      style={[
        type[size],
        { fontFamily: font.heading, color: colour[tone], fontVariant: ['lining-nums'] },
        style,
      ]}
    />
  );
}
