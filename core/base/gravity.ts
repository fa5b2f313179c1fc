/** Newtons that a kilogram weighs. */
export const GRAVITY = 9.80665;
