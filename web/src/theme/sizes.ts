/** The sizes of type, px: all there are, from a drawing's figures to the one read across the bench. */
export const type = {
  tiny: 12,
  small: 13,
  note: 14,
  body: 15,
  large: 17,
  lead: 20,
  title: 24,
  figure: 30,
  big: 44,
  bigger: 60,
  huge: 94,
  giant: 168,
}

/** The distances there are, px: between a figure and its unit, up to the foot of a page. */
export const space = [2, 4, 6, 8, 10, 12, 14, 16, 20, 24, 32, 40, 64, 80]
