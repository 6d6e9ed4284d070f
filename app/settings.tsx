export { SettingsScreen as default } from '@/features/lazy';
