import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import { type ExportFile } from '@/core/formats';
import { PLAN_RECORD_ID } from '@/core/plan-record/record';
import { exportFile, readExport } from '@/core/formats/export';
import { useSessions } from '@/features/session/useSession';
import { conflictsOf, takeIn, type OnConflict } from '@/store/take-in';
import { nowIso } from '@/store/clock';
import { usePaintings, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { keepPhotos, photosOf } from '@/store/photos';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { chooseFile, saveExport } from './files';

/** Export and import: nothing is lost with the browser. */
export function KeepSection() {
  const paintings = usePaintings();
  const studio = useStoreSelector((state) => state.studio);
  const cabinet = useStoreSelector((state) => state.cabinet);
  const flow = useImport();
  const sessions = useSessions();
  const months = useStoreSelector((state) => state.climate);
  const plan = useStoreSelector((state) => state.plan[PLAN_RECORD_ID] ?? null);
  const [failure, setFailure] = useState<string | null>(null);
  const exportAll = () => {
    setFailure(null);
    photosOf(sessions.flatMap((s) => s.photos.map((p) => p.id))).then(
      (photos) =>
        saveExport(
          exportFile('studio', paintings, studio, nowIso(), cabinet, {
            sessions,
            climate: Object.values(months).filter((m) => m !== undefined),
            photos,
            plan,
          }),
        ),
      (error: Error) => setFailure(`The photos cannot be read: ${error.message}`),
    );
  };
  return (
    <View style={{ gap: space.m }}>
      <Heading>Keep it</Heading>
      <Text tone="ink2">
        Everything stays in this browser, on this machine. A file is the copy that survives both.
      </Text>
      <Action title="Export the studio" onPress={exportAll} disabled={paintings.length === 0} />
      <Action title="Import a file" onPress={flow.choose} />
      {failure ? <Notice tone="refusal">{failure}</Notice> : null}
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
