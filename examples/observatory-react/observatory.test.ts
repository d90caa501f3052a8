import { isWhole } from '../../tests/effort.ts';
import { exampleSuite } from '../observatory/example-suite.ts';

exampleSuite('observatory', isWhole);
