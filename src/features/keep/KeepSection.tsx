import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import { type ExportFile } from '@/core/formats';
import { readExport } from '@/core/formats/export';
import { conflictsOf, takeIn, type OnConflict } from '@/store/take-in';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { keepPhotos } from '@/store/photos';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { chooseFile } from './files';
import { useExport } from './useExport';

/** Export and import: nothing is lost with the browser. */
export function KeepSection() {
  const flow = useImport();
  const exporting = useExport();
  const empty = useStoreSelector(
    (state) => state.paintings.ids.length === 0 && state.sessions.ids.length === 0,
  );
  return (
    <View style={{ gap: space.m }}>
      <Heading>Keep it</Heading>
      <Text tone="ink2">
        Everything stays in this browser, on this machine. A file is the copy that survives both.
      </Text>
      <Action title="Export the studio" onPress={() => void exporting.save()} disabled={empty} />
      <Action title="Import a file" onPress={flow.choose} />
      {exporting.failure ? <Notice tone="refusal">{exporting.failure}</Notice> : null}
      {flow.refusal ? (
        <Notice tone="refusal">{`Nothing was changed. ${flow.refusal}`}</Notice>
      ) : null}
      {flow.done ? <Notice>{flow.done}</Notice> : null}
      {flow.asking ? <ConflictDialog titles={flow.asking.titles} onAnswer={flow.answer} /> : null}
    </View>
  );
}

interface Asking {
  file: ExportFile;
  titles: string[];
}

function useImport() {
  const dispatch = useStoreDispatch();
  const entities = useStoreSelector((state) => state);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [asking, setAsking] = useState<Asking | null>(null);
  const finish = (file: ExportFile, how: OnConflict) => {
    // The pictures first: a log should never name one that was not kept.
    keepPhotos(file.photos).then(
      () => {
        const count = dispatch(takeIn(file, how));
        setDone(count === 1 ? 'One painting came in.' : `${count} paintings came in.`);
      },
      (error: Error) => setRefusal(`The photos of the file cannot be kept: ${error.message}`),
    );
  };
  const take = (text: string) => {
    try {
      const file = readExport(text);
      const here = conflictsOf(entities, file);
      if (here.length > 0) setAsking({ file, titles: here.map((p) => p.title) });
      else finish(file, 'replace');
    } catch (error) {
      setRefusal(error instanceof CoreError ? error.message : String(error));
    }
  };
  const choose = () => {
    setRefusal(null);
    setDone(null);
    chooseFile('application/json,.json').then(
      (text) => text !== null && take(text),
      (error: Error) => setRefusal(`The file cannot be read: ${error.message}`),
    );
  };
  const answer = (how: OnConflict | null) => {
    if (how && asking) finish(asking.file, how);
    setAsking(null);
  };
  return { choose, refusal, done, asking, answer };
}

function ConflictDialog({
  titles,
  onAnswer,
}: {
  titles: string[];
  onAnswer: (how: OnConflict | null) => void;
}) {
  return (
    <Sheet name="Already here" onClose={() => onAnswer(null)}>
      <View style={{ gap: space.m }}>
        <Heading>Already here</Heading>
        <Text>
          {titles.join(', ')}: the file has{' '}
          {titles.length === 1 ? 'this painting' : 'these paintings'} too.
        </Text>
        <Action title="Replace with the file" onPress={() => onAnswer('replace')} />
        <Action title="Keep both" onPress={() => onAnswer('keep-both')} />
        <Action title="Cancel" kind="quiet" onPress={() => onAnswer(null)} />
      </View>
    </Sheet>
  );
}
