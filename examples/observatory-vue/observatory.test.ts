import { exampleSuite } from '../observatory/example-suite.ts';

exampleSuite('observatory-vue');
