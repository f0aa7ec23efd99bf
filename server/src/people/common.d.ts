declare module 'fxa-common-password-list' {
  const list: { test: (password: string) => boolean };
  export default list;
}
