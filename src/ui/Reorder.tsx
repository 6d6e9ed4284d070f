import { useRef, useState, type ReactNode } from 'react';
import { View, type GestureResponderEvent, type ViewStyle } from 'react-native';
import { dragIcon } from './desk-icons';
import { Icon } from './Icon';
import { colour, TARGET } from './tokens';

interface Props<T> {
  rows: T[];
  keyOf: (row: T) => string;
  nameOf: (row: T) => string;
  row: (row: T) => ReactNode;
  /** A row was put to another place in the list. */
  onMove: (from: number, to: number) => void;
}

/** Where a row lands that is dragged by some pixels: past the middle of a neighbour it takes its place. */
export function landing(heights: number[], from: number, dy: number): number {
  let to = from;
  let left = Math.abs(dy);
  const step = dy < 0 ? -1 : 1;
  for (let next = from + step; next >= 0 && next < heights.length; next += step) {
    const height = heights[next]!;
    if (left < height / 2) break;
    left -= height;
    to = next;
  }
  return to;
}

/** Rows that are put in order by hand: dragged by their handle, or moved by the arrow keys on it. */
export function Reorder<T>({ rows, keyOf, nameOf, row, onMove }: Props<T>) {
  const [heights] = useState(() => new Map<string, number>());
  const [drag, setDrag] = useState<{ from: number; dy: number } | null>(null);
  const tall = (i: number): number => heights.get(keyOf(rows[i]!)) ?? TARGET;
  const to = drag
    ? landing(
        rows.map((_, i) => tall(i)),
        drag.from,
        drag.dy,
      )
    : null;
  return (
    <View>
      {rows.map((item, i) => {
        const moving = drag?.from === i;
        const before = to === i && drag!.from > i;
        const after = to === i && drag!.from < i;
        return (
          <View
            key={keyOf(item)}
            onLayout={(e) => heights.set(keyOf(item), e.nativeEvent.layout.height)}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              borderTopWidth: before ? 2 : 0,
              borderBottomWidth: after ? 2 : 0,
              borderColor: colour.tawny,
              ...(moving
                ? { transform: [{ translateY: drag.dy }], backgroundColor: colour.sheet, zIndex: 1 }
                : {}),
            }}
          >
            <Handle
              name={nameOf(item)}
              onDrag={(dy) => setDrag({ from: i, dy })}
              onDrop={(dy) => {
                setDrag(null);
                const place = landing(
                  rows.map((_, k) => tall(k)),
                  i,
                  dy,
                );
                if (place !== i) onMove(i, place);
              }}
              onKey={(by) => {
                const place = i + by;
                if (place >= 0 && place < rows.length) onMove(i, place);
              }}
            />
            <View style={{ flex: 1 }}>{row(item)}</View>
          </View>
        );
      })}
    </View>
  );
}

const HANDLE = {
  width: 36,
  minHeight: TARGET,
  alignItems: 'center',
  justifyContent: 'center',
  cursor: 'grab',
  // The page does not scroll under a finger that drags.
  touchAction: 'none',
} as unknown as ViewStyle;

function Handle({
  name,
  onDrag,
  onDrop,
  onKey,
}: {
  name: string;
  onDrag: (dy: number) => void;
  onDrop: (dy: number) => void;
  onKey: (by: -1 | 1) => void;
}) {
  const from = useRef(0);
  const moved = (e: GestureResponderEvent): number => e.nativeEvent.pageY - from.current;
  const keys = {
    tabIndex: 0,
    onKeyDown: (e: { key: string; preventDefault: () => void }) => {
      if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
      e.preventDefault();
      onKey(e.key === 'ArrowUp' ? -1 : 1);
    },
  } as object;
  return (
    <View
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={(e) => {
        from.current = e.nativeEvent.pageY;
      }}
      onResponderMove={(e) => onDrag(moved(e))}
      onResponderRelease={(e) => onDrop(moved(e))}
      onResponderTerminate={() => onDrop(0)}
      {...keys}
      role="button"
      aria-label={`Move ${name}: drag, or arrow up and down`}
      style={HANDLE}
    >
      <Icon path={dragIcon} size={20} tint={colour.ink2} />
    </View>
  );
}
