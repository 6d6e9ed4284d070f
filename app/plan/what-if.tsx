export { WhatIfScreen as default } from '@/features/lazy';
