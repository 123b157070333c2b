/** The rafter table stamped on framing squares, as carpenters' handbooks print it, to a hundredth: rise in 12, common, hip, jack differences at 16 and 24 in, side cut of jack and of hip. */
export const SQUARE = [
  [4, 12.65, 17.44, 16.87, 25.3, 11.38, 11.68],
  [5, 13.0, 17.69, 17.33, 26.0, 11.08, 11.51],
  [6, 13.42, 18.0, 17.89, 26.83, 10.73, 11.31],
  [8, 14.42, 18.76, 19.23, 28.84, 9.98, 10.85],
  [10, 15.62, 19.7, 20.83, 31.24, 9.22, 10.34],
  [12, 16.97, 20.78, 22.63, 33.94, 8.49, 9.8],
  [18, 21.63, 24.74, 28.84, 43.27, 6.66, 8.23],
] as const;
