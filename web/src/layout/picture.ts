/** Makes a PNG of a drawing of the server, so many px wide, and saves it. */
export async function savePicture(path: string, width: number, name: string): Promise<void> {
  const response = await fetch(path);
  if (!response.ok) throw new Error(response.statusText);
  const image = new Image();
  // Pictures come from this page or are written into it; nothing else is allowed here.
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(await response.text())}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = Math.round((width * image.naturalHeight) / Math.max(1, image.naturalWidth));
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const link = document.createElement('a');
  link.href = canvas.toDataURL('image/png');
  link.download = `${name}.png`;
  link.click();
}
