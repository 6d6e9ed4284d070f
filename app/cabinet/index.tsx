import { CabinetScreen } from '@/features/desk';

export default function CabinetRoute() {
  return <CabinetScreen chosen={null} />;
}
