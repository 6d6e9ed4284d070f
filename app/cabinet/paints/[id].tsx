import { CabinetScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function CabinetRoute() {
  return <CabinetScreen chosen={{ kind: 'paint', id: useParam('id') ?? '' }} />;
}
