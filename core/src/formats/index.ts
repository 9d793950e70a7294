export {
  SIGN_LABELS,
  SIGN_WORDS,
  TASTE_WORDS,
  shotFieldProblem,
  type SeenMark,
  type ShotLine,
  type ShotLineProblem,
  type TasteNote,
} from './shotLine';
export { parseShotLine, type ParsedShotLine } from './parseShotLine';
export { printShotLine, tasteInWords, tasteWords } from './printShotLine';
export { CAUSE_WORDS, shotLineInWords } from './shotLineInWords';
export { cardMarkdown, cardRecipe, type CardFile } from './cardFiles';
export {
  DATE_ORDERS,
  DECIMALS,
  DELIMITERS,
  guessMatch,
  MATCH_COLUMNS,
  MATCH_TABLES,
  MATCH_TASTES,
  type Guess,
  type Match,
  type MatchColumn,
  type MatchTable,
} from './match';
