import { useRouter } from 'expo-router';
import { GoTo } from '@/ui/GoTo';
import { Icon } from '@/ui/Icon';
import { dotsGridIcon } from '@/ui/icons';
import { useWide } from '@/ui/Split';
import { TARGET } from '@/ui/tokens';

/** The way to everything that has no place at the foot of a phone; on a desk the rail has it. */
export function StudioLink() {
  const router = useRouter();
  const wide = useWide();
  if (wide) return null;
  return (
    <GoTo
      href="/studio"
      onGo={() => router.push('/studio')}
      label="Studio"
      style={{ width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' }}
    >
      <Icon path={dotsGridIcon} />
    </GoTo>
  );
}
