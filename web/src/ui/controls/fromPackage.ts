/** What is fetched with the package. */
export { ChoiceList } from './ChoiceList.tsx'
export { RadioRow } from './RadioRow.tsx'
export { SearchList } from './SearchList.tsx'
