/** The invented studio and what opens it, in a piece of the bundle that only those who ask for it load. */
export { openDemo } from '@/store/open-demo';
export { demoStudio } from '../../../demo/studio';
