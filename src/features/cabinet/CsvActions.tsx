import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';
import { putMediums, putPaints, type Cabinet } from '@/core/cabinet';
import { chooseFile, saveFile } from '@/features/keep/files';
import { changeCabinet } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { mediumsCsv, paintsCsv, readMediumsCsv, readPaintsCsv, type BadRow } from './csv';

/** A file as it was read: how many good rows, which bad ones, and how the good ones are put in. */
interface Read {
  count: number;
  bad: BadRow[];
  put: (cabinet: Cabinet) => Cabinet;
}

const newId = () => nanoid(12);
const KINDS = {
  paint: {
    title: 'Paints',
    one: 'one paint',
    many: 'paints',
    write: (c: Cabinet) => paintsCsv(c.paints),
    read: (text: string): Read => {
      const { items, bad } = readPaintsCsv(text, newId);
      return { count: items.length, bad, put: (c) => putPaints(c, items) };
    },
  },
  medium: {
    title: 'Mediums',
    one: 'one medium',
    many: 'mediums',
    write: (c: Cabinet) => mediumsCsv(c.mediums),
    read: (text: string): Read => {
      const { items, bad } = readMediumsCsv(text, newId);
      return { count: items.length, bad, put: (c) => putMediums(c, items) };
    },
  },
} as const;
type Kind = keyof typeof KINDS;

const counted = (kind: Kind, n: number): string =>
  n === 1 ? KINDS[kind].one : `${n} ${KINDS[kind].many}`;

/** Paints or mediums as a table file, out and in. Bad rows are left out only with consent. */
export function CsvActions({ kind }: { kind: Kind }) {
  const dispatch = useStoreDispatch();
  const cabinet = useStoreSelector((state) => state.cabinet);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [asking, setAsking] = useState<Read | null>(null);
  const { title, many, write, read } = KINDS[kind];
  const take = ({ count, bad, put }: Read) => {
    const what = counted(kind, count);
    setAsking(null);
    try {
      dispatch(changeCabinet(`Took in ${what}`, put));
    } catch (error) {
      setRefusal(error instanceof Error ? error.message : String(error));
      return;
    }
    const left = bad.length > 0 ? `; ${bad.length} left out` : '';
    setDone(`${what.charAt(0).toUpperCase()}${what.slice(1)} came in${left}.`);
  };
  const open = (text: string) => {
    try {
      const found = read(text);
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
      (text) => text !== null && open(text),
      (error: Error) => setRefusal(`The file cannot be read: ${error.message}`),
    );
  };
  return (
    <View style={{ gap: space.s }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action
          title={`${title} to a CSV file`}
          onPress={() =>
            saveFile(`${many}-${nowIso().slice(0, 10)}.csv`, write(cabinet), 'text/csv')
          }
        />
        <Action title={`${title} from a CSV file`} onPress={choose} />
      </View>
      {refusal ? <Notice tone="refusal">{`Nothing was changed. ${refusal}`}</Notice> : null}
      {done ? <Notice>{done}</Notice> : null}
      {asking ? (
        <BadRows
          read={asking}
          what={counted(kind, asking.count)}
          onTake={() => take(asking)}
          onClose={() => setAsking(null)}
        />
      ) : null}
    </View>
  );
}

const SHOWN = 30;

function BadRows({
  read: { bad, count },
  what,
  onTake,
  onClose,
}: {
  read: Read;
  what: string;
  onTake: () => void;
  onClose: () => void;
}) {
  return (
    <Sheet name="Rows that cannot be read" onClose={onClose}>
      <View style={{ gap: space.m }}>
        <Heading>{`${bad.length} of ${bad.length + count} rows cannot be read`}</Heading>
        {bad.slice(0, SHOWN).map(({ line, problems }) => (
          <Notice key={line} tone="refusal">{`Line ${line}. ${problems.join(' ')}`}</Notice>
        ))}
        {bad.length > SHOWN ? <Text>{`And ${bad.length - SHOWN} more.`}</Text> : null}
        {count > 0 ? <Action title={`Take ${what}, leave these out`} onPress={onTake} /> : null}
        <Action title="Take nothing" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
