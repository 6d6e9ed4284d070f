import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { useExport } from '@/features/keep/useExport';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** How much of the page fails with it: all of it, one screen, or one part of a screen. */
export type BoundaryOf = 'frame' | 'screen' | 'panel';

interface Props {
  of: BoundaryOf;
  /** What it is called, e.g. "The daylight". */
  name?: string;
  /** Another value is another thing: what failed before is forgotten. */
  resetKey?: string;
  /** Before it is tried again. */
  onRetry?: () => void;
  children: ReactNode | (() => ReactNode);
}

const LOADING = /load|fetch|import|module|network/i;

/** What to say of an error without the inside of the program. */
export const failureWords = (error: unknown, name: string): string =>
  error instanceof Error && LOADING.test(error.message)
    ? `${name} could not be loaded. The server may not answer; what is kept is safe.`
    : `${name} could not be shown. What is kept is safe.`;

/** What fails says so where it stands, and all around it goes on. */
export class Boundary extends Component<Props, { error: unknown; failed: boolean }> {
  override state = { error: null as unknown, failed: false };

  static getDerivedStateFromError(error: unknown) {
    return { error, failed: true };
  }

  override componentDidUpdate(before: Props) {
    if (this.state.failed && before.resetKey !== this.props.resetKey)
      this.setState({ error: null, failed: false });
  }

  retry = () => {
    this.props.onRetry?.();
    this.setState({ error: null, failed: false });
  };

  override render() {
    const { of, children } = this.props;
    if (!this.state.failed) return typeof children === 'function' ? children() : children;
    const name = this.props.name ?? (of === 'panel' ? 'This part' : 'This page');
    const words = failureWords(this.state.error, name);
    return of === 'panel' ? (
      <Notice tone="refusal" action={<Action title="Try again" onPress={this.retry} />}>
        {words}
      </Notice>
    ) : (
      <Failed words={words} whole={of === 'frame'} onRetry={this.retry} />
    );
  }
}

/** A whole screen that fails: the record can still be had as a file, and the page read anew. */
function Failed({ words, whole, onRetry }: { words: string; whole: boolean; onRetry: () => void }) {
  const exporting = useExport();
  return (
    <View
      style={{
        flex: 1,
        gap: space.l,
        padding: space.xl,
        backgroundColor: colour.wall,
        alignItems: 'flex-start',
      }}
    >
      <Heading level={1} size="title">
        {whole ? 'Tawny Hour' : 'Something failed'}
      </Heading>
      <View role="alert">
        <Text>{words}</Text>
      </View>
      <Action title="Try again" kind="primary" onPress={onRetry} />
      <Action title="Reload the page" onPress={() => window.location.reload()} />
      <Action title="Export the studio" onPress={() => void exporting.save()} />
      {exporting.failure ? <Notice tone="refusal">{exporting.failure}</Notice> : null}
    </View>
  );
}
