/**
 * In place of Expo Router's StackClient on the web: its Slot needs only the router of a stack, not the
 * native headers and toolbars that come with it.
 */
exports.StackRouter = require('expo-router/build/react-navigation/routers').StackRouter;
