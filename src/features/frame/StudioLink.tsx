import { useRouter } from 'expo-router';
import { useWindowDimensions } from 'react-native';
import { GoTo } from '@/ui/GoTo';
import { Icon } from '@/ui/Icon';
import { dotsGridIcon } from '@/ui/icons';
import { TARGET, WIDE_FROM } from '@/ui/tokens';

/** The way to everything that has no place at the foot of a phone; on a desk the rail has it. */
export function StudioLink() {
  const router = useRouter();
  const wide = useWindowDimensions().width >= WIDE_FROM;
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
