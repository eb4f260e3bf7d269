/** Called again and again by long loops; whoever wants to end one throws from it. */
export type Pulse = () => void;
