import type { z } from 'zod';
import type { Cabinet } from '@/core/cabinet';
import { useForm, type Form } from '@/forms';
import { changeCabinet } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';

interface Entry {
  id: string;
  name: string;
  archived: boolean;
}

/** A paint or a medium while it is edited. */
export interface EntryEdit<T extends Entry> {
  form: Form<T>;
  keep(): void;
  archive(): void;
}

interface Options<T extends Entry> {
  kind: 'paint' | 'medium';
  schema: z.ZodType<T>;
  /** Null for a new one, which then begins as `fresh`. */
  entry: T | null;
  fresh: T;
  put(cabinet: Cabinet, entry: T): Cabinet;
  onDone(): void;
}

/** The one way to edit an entry of the cabinet. */
export function useEntryEdit<T extends Entry>({
  kind,
  schema,
  entry,
  fresh,
  put,
  onDone,
}: Options<T>): EntryEdit<T> {
  const dispatch = useStoreDispatch();
  const form = useForm({
    key: `${kind}:${entry?.id ?? 'new'}`,
    schema,
    document: entry ?? fresh,
    isNew: entry === null,
  });
  const write = (what: string, kept: T) => dispatch(changeCabinet(what, (c) => put(c, kept)));
  return {
    form,
    keep() {
      if (form.keep((kept) => write(`Kept ${kept.name}`, kept))) onDone();
    },
    archive() {
      if (!entry) return;
      const archived = !entry.archived;
      write(archived ? `Archived ${entry.name}` : `Took out ${entry.name}`, { ...entry, archived });
      onDone();
    },
  };
}
