module.exports = (api) => {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // Jest runs modules of the old kind: what is loaded when it is needed is required then.
    env: { test: { plugins: ['@babel/plugin-transform-dynamic-import'] } },
  };
};
