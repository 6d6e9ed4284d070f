import { Slot } from 'expo-router';
import { Background } from '@/features/lazy';
import { AutoDemo } from '@/features/frame/AutoDemo';
import { Frame } from '@/features/frame/Frame';
import { Studio } from '@/features/frame/Studio';

export default function Layout() {
  return (
    <Studio>
      <AutoDemo />
      <Background />
      <Frame>
        <Slot />
      </Frame>
    </Studio>
  );
}
