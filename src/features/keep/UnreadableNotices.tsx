import { useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { saveFile } from './files';

/** Documents in the store that cannot be read: named, left where they are, and offered as files. */
export function UnreadableNotices() {
  const unreadable = useStoreSelector((state) => state.saving.unreadable);
  return (
    <>
      {unreadable.map(({ key, message, raw }) => (
        <Notice
          key={key}
          tone="refusal"
          action={
            <Action
              title="Save it as a file"
              onPress={() => saveFile(`${key.replace(/\W+/g, '-')}.json`, raw)}
            />
          }
        >
          {`"${key}" could not be opened and was left as it is. ${message}`}
        </Notice>
      ))}
    </>
  );
}
