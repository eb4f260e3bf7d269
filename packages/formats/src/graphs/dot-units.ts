/** Points and inches to a canvas unit. */
export const [POINTS, INCHES] = [0.75, 1 / 96];
