/** Where a device listens on the shop's network. */
export type DeviceAddress = { readonly host: string; readonly port: number };

/**
 * @param text - `tcp://host:port`
 * @throws RangeError when it is not one
 */
export function deviceAddress(text: string): DeviceAddress {
  const found = /^tcp:\/\/([^:/\s]+|\[[0-9a-fA-F:]+\]):(\d{1,5})$/.exec(text);
  if (!found) throw new RangeError(`"address" expected tcp://host:port, got ${text}`);
  return { host: found[1]!.replace(/[[\]]/g, ''), port: Number(found[2]) };
}
