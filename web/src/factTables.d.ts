declare module 'virtual:fact-tables' {
  /** Where the tables of the first screen are fetched from. */
  const address: string
  export default address
}
