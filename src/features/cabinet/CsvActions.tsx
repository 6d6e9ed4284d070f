import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';
import { putPaints } from '@/core/cabinet';
import { chooseFile, saveFile } from '@/features/keep/files';
import { changeCabinet } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { paintsCsv, readPaintsCsv, type ReadPaints } from './csv';

const paintsWord = (n: number): string => (n === 1 ? 'one paint' : `${n} paints`);

/** The paints as a table file, out and in. Bad rows are left out only with consent. */
export function CsvActions() {
  const dispatch = useStoreDispatch();
  const paints = useStoreSelector((state) => state.cabinet.paints);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [asking, setAsking] = useState<ReadPaints | null>(null);
  const take = (read: ReadPaints) => {
    dispatch(
      changeCabinet(`Took in ${paintsWord(read.paints.length)}`, (c) => putPaints(c, read.paints)),
    );
    setDone(
      `${paintsWord(read.paints.length)} came in${read.bad.length > 0 ? `; ${read.bad.length} left out` : ''}.`.replace(
        /^./,
        (c) => c.toUpperCase(),
      ),
    );
    setAsking(null);
  };
  const read = (text: string) => {
    try {
      const found = readPaintsCsv(text, () => nanoid(12));
      if (found.bad.length > 0) setAsking(found);
      else take(found);
    } catch (error) {
      setRefusal(error instanceof Error ? error.message : String(error));
    }
  };
  const choose = () => {
    setRefusal(null);
    setDone(null);
    chooseFile('text/csv,.csv').then(
      (text) => text !== null && read(text),
      (error: Error) => setRefusal(`The file cannot be read: ${error.message}`),
    );
  };
  return (
    <View style={{ gap: space.s }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action
          title="Paints to a CSV file"
          onPress={() =>
            saveFile(`paints-${nowIso().slice(0, 10)}.csv`, paintsCsv(paints), 'text/csv')
          }
        />
        <Action title="Paints from a CSV file" onPress={choose} />
      </View>
      {refusal ? <Notice tone="refusal">{`Nothing was changed. ${refusal}`}</Notice> : null}
      {done ? <Notice>{done}</Notice> : null}
      {asking ? (
        <BadRows read={asking} onTake={() => take(asking)} onClose={() => setAsking(null)} />
      ) : null}
    </View>
  );
}

const SHOWN = 30;

function BadRows({
  read,
  onTake,
  onClose,
}: {
  read: ReadPaints;
  onTake: () => void;
  onClose: () => void;
}) {
  return (
    <Sheet name="Rows that cannot be read" onClose={onClose}>
      <View style={{ gap: space.m }}>
        <Heading>{`${read.bad.length} of ${read.bad.length + read.paints.length} rows cannot be read`}</Heading>
        {read.bad.slice(0, SHOWN).map(({ line, problems }) => (
          <Notice key={line} tone="refusal">{`Line ${line}. ${problems.join(' ')}`}</Notice>
        ))}
        {read.bad.length > SHOWN ? <Text>{`And ${read.bad.length - SHOWN} more.`}</Text> : null}
        {read.paints.length > 0 ? (
          <Action
            title={`Take ${paintsWord(read.paints.length)}, leave these out`}
            onPress={onTake}
          />
        ) : null}
        <Action title="Take nothing" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
