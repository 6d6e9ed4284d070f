import type { Middleware } from '@reduxjs/toolkit';
import { CoreError } from '@/core/errors';
import { cabinetChanged } from './cabinet';
import type { DocumentKind, Kinds } from './keep/documents';
import { readerIfHere } from './keep/reader';
import { painterChanged } from './paintings';
import { planChanged } from './plan';
import { changeDeclined } from './saving';
import { sessionChanged } from './sessions';
import { settingsChanged } from './studio';

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The document that a change of the painter's would leave, and its kind; null for all other actions. */
function documentAfter(
  action: unknown,
  state: { studio: Kinds['studio'] },
): [DocumentKind, unknown] | null {
  if (painterChanged.match(action)) return ['painting', action.payload.after];
  if (sessionChanged.match(action)) return ['session', action.payload.after];
  if (cabinetChanged.match(action)) return ['cabinet', action.payload.after];
  if (planChanged.match(action)) return ['plan', action.payload.after];
  if (settingsChanged.match(action)) return ['studio', { ...state.studio, ...action.payload }];
  return null;
}

/**
 * A change that could not be read again once it is kept is not done: nothing changes, the painter is told why, and
 * whoever asked for it is told by the error. Until the schemas have come, in the first moments of a visit, the keeper
 * alone stands guard.
 */
export const acceptable: Middleware<object, { studio: Kinds['studio'] }> =
  ({ dispatch, getState }) =>
  (next) =>
  (action) => {
    const reader = readerIfHere();
    const [kind, document] = (reader && documentAfter(action, getState())) ?? [];
    const why = kind && document ? reader!.whyNotKept(kind, document as never) : null;
    if (why) {
      dispatch(changeDeclined(`Not done, since it could not be kept. ${sentence(why)}`));
      throw new CoreError('not-keepable', kind!, `That cannot be kept. ${why}`);
    }
    return next(action);
  };
