import { hostname, networkInterfaces } from 'node:os';

/** How the devices of the shop's own network name this machine: by its name there, and by its addresses (IPv4). */
export function ownNetworkNames(): string[] {
  const addresses = Object.values(networkInterfaces())
    .flatMap((found) => found ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
  return [...addresses, `${hostname()}.local`];
}
