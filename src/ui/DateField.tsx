import { useRef, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { parseDay, parseMoment, showDay, showMoment } from '@/core/formats/date-text';
import { calendarIcon } from './desk-icons';
import { Field } from './Field';
import { Icon } from './Icon';
import { colour, space, TARGET } from './tokens';

/** A day without a year is of this one. */
const readNow = (parse: (text: string, nowMs: number) => string | null, text: string) =>
  parse(text, Date.now());

interface Props {
  label: string;
  spoken?: string;
  /** "2026-03-03", with a time "2026-03-03T18:30"; as typed where it is neither yet. */
  value: string;
  onChangeText: (value: string) => void;
  onBlur?: () => void;
  error?: string | undefined;
  withTime?: boolean;
}

/**
 * A day, or a moment, written as everywhere else in the app, whatever order the browser would write it in; typed, or
 * chosen in the browser's own calendar.
 */
export function DateField({ label, spoken, value, onChangeText, onBlur, error, withTime }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [show, parse] = withTime ? [showMoment, parseMoment] : [showDay, parseDay];
  const type = (text: string) => {
    setTyped(text);
    onChangeText(readNow(parse, text) ?? text);
  };
  return (
    <View style={styles.row}>
      <Field
        label={label}
        {...(spoken === undefined ? {} : { spoken })}
        value={typed ?? show(value)}
        onChangeText={type}
        onBlur={() => {
          // What could be read is shown as we write it; what could not stays as it was typed.
          setTyped(null);
          onBlur?.();
        }}
        error={error}
        placeholder={withTime ? '3 Mar 2026, 18:30' : '3 Mar 2026'}
      />
      <CalendarButton
        value={value}
        withTime={withTime ?? false}
        onChoose={(chosen) => {
          setTyped(null);
          onChangeText(chosen);
          onBlur?.();
        }}
      />
    </View>
  );
}

function CalendarButton({
  value,
  withTime,
  onChoose,
}: {
  value: string;
  withTime: boolean;
  onChoose: (value: string) => void;
}) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <View style={styles.calendar}>
      <Pressable
        accessibilityRole="button"
        aria-label="Open the calendar"
        onPress={() => picker.current?.showPicker()}
        style={styles.button}
      >
        <Icon path={calendarIcon} tint={colour.ink2} />
      </Pressable>
      <input
        ref={picker}
        type={withTime ? 'datetime-local' : 'date'}
        value={value}
        onChange={(event) => event.target.value && onChoose(event.target.value)}
        tabIndex={-1}
        aria-hidden
        style={HIDDEN}
      />
    </View>
  );
}

/** There for its calendar, which opens where it stands. */
const HIDDEN = {
  position: 'absolute',
  inset: 0,
  width: '100%',
  opacity: 0,
  pointerEvents: 'none',
} as const;

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: space.xs, flexGrow: 1, flexShrink: 1, minWidth: 0 },
  calendar: { marginTop: 20 },
  button: { width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' },
});
