/** Width of a lane, in drawing units. Everything a wire can meet stands on a whole or half lane. */
export const LANE = 20;
/** Height of a track, the horizontal twin of a lane. */
export const TRACK = 17;
export const LABEL_HEIGHT = 46;
export const JACKET_HEIGHT = 84;
/** How far a jacket stands out over the wall of the box. */
export const ABOVE_WALL = 40;
/** Room under the sheath for a letter and a band of tape. */
export const FAN_TOP = 46;
export const CHANNEL_PAD = 16;
export const SPLICE_HEIGHT = 44;
export const BODY_COLUMNS = 6;
export const BODY_HEIGHT = 232;
export const DEVICE_TOP = 26;
export const DEVICE_BOTTOM = 34;
/** Narrowest cell of a cable and narrowest splice, in lanes, so that their labels have room. */
export const CABLE_COLUMNS = 9;
export const SPLICE_COLUMNS = 4;
/** Most lanes that a cable is given for its label's sake; what is longer is cut, and said whole when it is tapped. */
export const LABEL_COLUMNS = 18;
/** Width of a letter of a cable's title and of its second line, about, in drawing units. */
export const TITLE_LETTER = 8.6;
export const ROLE_LETTER = 7.2;
/** Room under the devices for what a switch works. */
export const WORKS_HEIGHT = 18;
export const WORKS_LETTER = 7.4;

/** The middle of a lane. Two lanes are kept free at each wall. */
export const laneX = (column: number): number => (column + 2) * LANE;
