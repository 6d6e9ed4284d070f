export { WhatIfScreen as default } from '@/features/desk';
