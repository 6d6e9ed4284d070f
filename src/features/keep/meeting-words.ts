import type { Meeting, Met, RecordKind } from '@/core/formats/bring-in';
import type { Painting } from '@/core/painting';

const NAMES: Record<RecordKind, [one: string, many: string]> = {
  painting: ['painting', 'paintings'],
  session: ['session', 'sessions'],
  climate: ['month of readings', 'months of readings'],
  plan: ['plan', 'plans'],
  cabinet: ['cabinet', 'cabinets'],
  studio: ['settings', 'settings'],
};
const DOES: Record<Exclude<Meeting, 'same' | 'gone-here'>, string> = {
  new: 'new here',
  'file-newer': 'gone on in the file',
  both: 'gone on here and in the file: both stays',
  parted: 'changed in the same place here and in the file',
  'gone-there': 'taken out in the file: goes here too',
  'here-newer': 'further on here: stays as it is',
};
const ORDER = Object.keys(DOES) as (keyof typeof DOES)[];

/** What a file would do, a line for each thing it does: "2 paintings (Quinces, Loft): new here". */
export function meetingLines(met: Met[]): string[] {
  return ORDER.flatMap((meeting) =>
    (Object.keys(NAMES) as RecordKind[]).flatMap((kind) => {
      const list = met.filter((m) => m.kind === kind && m.meeting === meeting);
      if (list.length === 0) return [];
      const [one, many] = NAMES[kind];
      const single = kind === 'studio' || kind === 'cabinet' || kind === 'plan';
      const titles =
        kind === 'painting'
          ? ` (${list
              .slice(0, 4)
              .map((m) => ((m.theirs ?? m.mine) as Painting).title)
              .join(', ')}${list.length > 4 ? ', …' : ''})`
          : '';
      const count = single ? one : `${list.length} ${list.length === 1 ? one : many}`;
      return [`${count.charAt(0).toUpperCase()}${count.slice(1)}${titles}: ${DOES[meeting]}`];
    }),
  );
}
