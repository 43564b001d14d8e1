/** Arrows of the client point one way: screens, composables, then what keeps and sends. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'What needs each other belongs together, or the lower one hands out a hook.',
      severity: 'error',
      from: { path: '^resources/js' },
      to: { circular: true },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: false,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.js'] },
  },
}
