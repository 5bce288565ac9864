/** A picture in shades of grey, row by row from the top: 0 is black, 255 is white. */
export interface GrayPicture {
  readonly width: number;
  readonly height: number;
  readonly pixels: Uint8Array;
}
