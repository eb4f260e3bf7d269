/** The name of the trial map that is drawn with a student's hand. */
export const AS_A_STUDENT = 'As a student';
