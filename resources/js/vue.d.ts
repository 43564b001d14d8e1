// For eslint, which reads no single-file components; vue-tsc reads them themselves.
declare module '*.vue' {
  const component: import('vue').Component
  export default component
}
