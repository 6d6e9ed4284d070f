import { Slot } from 'expo-router';
import { z } from 'zod';
import { Background } from '@/features/lazy';
import { AutoDemo } from '@/features/frame/AutoDemo';
import { Frame } from '@/features/frame/Frame';
import { Studio } from '@/features/frame/Studio';

// The Content-Security-Policy forbids eval, which Zod would otherwise try.
z.config({ jitless: true });

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
