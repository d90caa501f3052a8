import { effort } from '../../tests/effort.ts';
import { exampleSuite } from '../observatory/example-suite.ts';

// What depends on the styles and the document alone is asked of one framework: the documents are the same.
exampleSuite('observatory-vue', effort(false, true));
