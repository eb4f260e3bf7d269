export default async function stop() {
  await globalThis.ichnographStack.remove();
}
