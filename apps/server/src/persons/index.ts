/** What other folders may use of this one. */
export { PersonsModule } from './persons.module.js';
