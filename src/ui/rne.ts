/**
 * The widgets of React Native Elements that are in use, imported one by one: its index would pull every
 * widget, and with it every icon font, into the first route.
 */
export { default as Button } from '@rneui/themed/dist/Button';
export { default as Dialog } from '@rneui/themed/dist/Dialog';
export { default as Input } from '@rneui/themed/dist/Input';
export { createTheme, ThemeProvider } from '@rneui/themed/dist/config';
