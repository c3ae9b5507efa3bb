import { zonePath } from '@/core/species/sideMapPath';
import type { Destination, SideMap } from '@/core/species/types';
import { SidePatterns } from './SidePatterns';
import styles from './SideMap.module.css';

type Props = { map: SideMap; destinationOf: (zone: string) => Destination | undefined };

/** The hanging side to look at only: zones in the mark of where they go, dashed where nothing is said. */
export function SideDrawing({ map, destinationOf }: Props) {
  return (
    <>
      <SidePatterns />
      {Object.keys(map.zones).map((zone) => {
        const destination = destinationOf(zone);
        return (
          <path
            key={zone}
            d={zonePath(map, zone)}
            className={styles.still}
            fill={destination ? `url(#side-${destination})` : 'transparent'}
            data-open={destination ? undefined : 'true'}
          />
        );
      })}
    </>
  );
}
