import { CabinetScreen } from '@/features/lazy';
import { useParam } from '@/features/params';

export default function CabinetRoute() {
  return <CabinetScreen chosen={{ kind: 'medium', id: useParam('id') ?? '' }} />;
}
