import { readShop } from '@/data/setUp';
import { usualSurroundings } from '../house/surroundings';
import { DEMO_USERS, type DemoUser } from './people';

/** The demo's people and secrets, in the demo only. */
export async function demoUsersShown(): Promise<readonly DemoUser[]> {
  const shop = await readShop(usualSurroundings().db);
  return shop.demo ? DEMO_USERS : [];
}
