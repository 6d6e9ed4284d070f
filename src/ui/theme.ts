import { createTheme } from './rne';
import { colour, font, radius, space, TARGET, type } from './tokens';

/** React Native Elements in our tokens; its own defaults are loud. */
export const theme = createTheme({
  mode: 'light',
  lightColors: {
    primary: colour.tawny,
    secondary: colour.ink,
    background: colour.wall,
    white: colour.sheet,
    black: colour.ink,
    grey0: colour.ink,
    grey1: colour.ink2,
    grey2: colour.ink2,
    grey3: colour.ink2,
    grey4: colour.rule,
    grey5: colour.well,
    error: colour.brick,
    warning: colour.tawny,
    success: colour.ink,
    divider: colour.rule,
  },
  components: {
    Button: {
      buttonStyle: { minHeight: TARGET, borderRadius: radius.m, paddingHorizontal: space.l },
      titleStyle: { ...type.body, fontFamily: font.strong },
    },
    Input: {
      containerStyle: { paddingHorizontal: 0 },
      inputContainerStyle: {
        borderWidth: 1,
        borderBottomWidth: 1,
        borderColor: colour.ink2,
        borderRadius: radius.s,
        backgroundColor: colour.sheet,
        minHeight: TARGET,
        paddingHorizontal: space.m,
      },
      inputStyle: { ...type.body, fontFamily: font.text, color: colour.ink, minHeight: TARGET - 2 },
      labelStyle: {
        ...type.small,
        fontFamily: font.text,
        fontWeight: 'normal',
        color: colour.ink2,
      },
      errorStyle: { ...type.small, fontFamily: font.strong, color: colour.brick, margin: 0 },
    },
    CheckBox: {
      containerStyle: { backgroundColor: 'transparent', borderWidth: 0 },
      textStyle: { ...type.body, fontFamily: font.text, fontWeight: 'normal', color: colour.ink },
    },
    Dialog: {
      overlayStyle: {
        backgroundColor: colour.sheet,
        borderRadius: radius.l,
        padding: space.xl,
        width: '90%',
        maxWidth: 480,
      },
    },
  },
});
