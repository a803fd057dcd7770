export {
  byMonth,
  type ListedEdition,
  nextStatement,
  readStatement,
  statementCsv,
  statementForms,
  type StatementLine,
  statementsBy,
} from './statements'
