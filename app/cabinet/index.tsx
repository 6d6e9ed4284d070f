import { CabinetScreen } from '@/features/cabinet/CabinetScreen';

export default function CabinetRoute() {
  return <CabinetScreen chosen={null} />;
}
