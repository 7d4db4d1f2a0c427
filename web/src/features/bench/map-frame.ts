/** Where the map's drawing sits in its own box, in user units of the SVG. */
export const width = 460;
export const height = 300;
export const frame = { left: 46, right: 10, top: 10, bottom: 38 };
export const inner = { w: width - frame.left - frame.right, h: height - frame.top - frame.bottom };
