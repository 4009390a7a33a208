/** So many pixels the longer side of a photo has that is sent, and so many characters of it at most. */
const LONG = 1600;
const MOST = 900_000;

/** A picture as a JPEG in base64, small enough to be sent: what a camera writes beside it stays on the device. */
export async function smaller(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file, { imageOrientation: "from-image" });
  for (let long = LONG; long > 200; long *= 0.75) {
    const share = Math.min(1, long / Math.max(picture.width, picture.height));
    const canvas = document.createElement("canvas");
    canvas.width = Math.round(picture.width * share);
    canvas.height = Math.round(picture.height * share);
    canvas.getContext("2d")!.drawImage(picture, 0, 0, canvas.width, canvas.height);
    const text = canvas.toDataURL("image/jpeg", 0.82).split(",")[1]!;
    if (text.length <= MOST) return text;
  }
  throw new Error("too large");
}
