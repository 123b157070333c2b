/**
 * Signs, floors, brick papers and wallpapers printed at their true size: how large a picture is by what it shows, repeated
 * over what it covers, laid with all others on as few pages as they need, with bleed and cut marks, and what is wrong with
 * its size. Model mm. Example: a picture of 12 boards of 4 in each is 12 · 4 in / 87.1 = 14.0 mm wide in HO.
 */
export * from "./pages";
export * from "./remarks";
export * from "./size";
