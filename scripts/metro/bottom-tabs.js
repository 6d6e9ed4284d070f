/** In place of Expo Router's bottom tabs: its error views only ask whether they stand in a tab bar. They do not. */
exports.BottomTabBarHeightContext = require('react').createContext(undefined);
