import { useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { CoreError } from '@/core/errors';
import type { Met } from '@/core/formats/bring-in';
import { bringIn, exchangeAfter, meetFile, type Choices } from '@/store/bring-in';
import { nowIso, nowMs } from '@/store/clock';
import { noteExchange, readExchange } from '@/store/exchange';
import { asideKey } from '@/store/keep/set-aside';
import { loadReader } from '@/store/keep/reader';
import { asideFound } from '@/store/saving';
import { browserStorage } from '@/store/storage';
import type { Store } from '@/store/store';
import { chooseBlob } from './files';
import { keepPictures, readAnyFile, type ChosenFile } from './read-file';

export interface ImportFlow {
  choose: () => Promise<void>;
  refusal: string | null;
  done: string | null;
  asking: { chosen: ChosenFile; met: Met[]; leftOut: string[] } | null;
  /** How many pictures are kept so far, while it takes them in. */
  pictures: number | null;
  take: (choices: Choices) => Promise<void>;
  cancel: () => void;
}

const here = <T>(entities: Record<string, T | undefined>): T[] =>
  Object.values(entities).flatMap((x) => (x ? [x] : []));

const TOLD_EVERY_MS = 250;

const said = (error: unknown): string =>
  error instanceof CoreError
    ? error.message
    : `The file cannot be read: ${(error as Error).message}`;

const doneWords = (count: number): string =>
  count === 0
    ? 'The file holds nothing that is not here.'
    : count === 1
      ? 'One document came in. Undo takes it back.'
      : `${count} documents came in, as one step: undo takes them back.`;

/** A file is chosen, looked at, and taken in whole or not at all. */
export function useImport(): ImportFlow {
  const store = useStore() as Store;
  const [refusal, setRefusal] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [asking, setAsking] = useState<ImportFlow['asking']>(null);
  const [pictures, setPictures] = useState<number | null>(null);
  const stopped = useRef(false);

  const choose = async () => {
    setRefusal(null);
    setDone(null);
    try {
      const blob = await chooseBlob('.json,.zip,.pdf,.svg,.csv');
      if (!blob) return;
      const { paintings, sessions } = store.getState();
      const { chosen, bad } = await readAnyFile(
        blob,
        { paintings: here(paintings.entities), sessions: here(sessions.entities) },
        nowIso(),
      );
      const exchange = await readExchange(browserStorage());
      setAsking({
        chosen,
        met: await meetFile(store.getState(), chosen.file, exchange),
        leftOut: bad.map(({ line, problem }) => `Line ${line} is left out: ${problem}`),
      });
    } catch (error) {
      setRefusal(said(error));
    }
  };

  /** What could not be read where the file was made goes with it, and is not read here either. */
  const setAside = async ({ file }: ChosenFile) => {
    if (file.unreadable.length === 0) return;
    const found = file.unreadable.map(({ key, raw }) => ({
      key,
      raw,
      aside: asideKey(key, raw),
      message: 'It could not be read where the file was made.',
    }));
    await browserStorage().setMany(Object.fromEntries(found.map((u) => [u.aside, u.raw])));
    store.dispatch(asideFound(found));
  };

  const take = async (choices: Choices) => {
    if (!asking) return;
    const { chosen } = asking;
    stopped.current = false;
    setPictures(0);
    try {
      const storage = browserStorage();
      const reader = await loadReader();
      const exchange = await readExchange(storage);
      let toldMs = 0;
      const takeBack = await keepPictures(chosen, (count) => {
        // Told a few times a second: to draw it after each of a thousand would take longer than to keep them.
        if (nowMs() - toldMs > TOLD_EVERY_MS) {
          toldMs = nowMs();
          setPictures(count);
        }
        return !stopped.current;
      });
      try {
        setDone(doneWords(await store.dispatch(bringIn(chosen.file, exchange, choices, reader))));
      } catch (error) {
        await takeBack();
        throw error;
      }
      // The file is in. What is noted about it may fail, and takes nothing of it back.
      const after = exchangeAfter(chosen.file, exchange, nowIso());
      if (after) await noteExchange(storage, after);
      await setAside(chosen).catch(() => undefined);
    } catch (error) {
      setRefusal(said(error));
    } finally {
      setPictures(null);
      setAsking(null);
    }
  };

  const cancel = () => {
    stopped.current = true;
    if (pictures === null) setAsking(null);
  };
  return { choose, refusal, done, asking, pictures, take, cancel };
}
