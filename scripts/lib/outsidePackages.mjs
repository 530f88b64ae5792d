/** For esbuild: our own packages go into a bundle, everything from the registry stays outside. */
export const outsidePackages = {
  name: 'outside-packages',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@tender-gill/') ? undefined : { path, external: true },
    )
  },
}
