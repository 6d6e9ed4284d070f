export { parseNumber } from '@/core/formats/number-text';
export { FormState } from './FormState';
export { isTyped, numberOf, shownNumber, typedNumber, type Draft, type Typed } from './draft';
export { CODECS, type CodecKey } from './numbers';
export { useForm, type Form, type NumberBinding, type TextBinding } from './useForm';
export { useLiveForm } from './useLiveForm';
export { useRowKeys } from './useRowKeys';
export { useNumberText } from './useNumberText';
