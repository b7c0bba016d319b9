/** Drawn things for those who do not read yet: told apart by shape alone, each with its name for whoever does not see it. */
const DRAWN: Record<string, string> = {
  anchor: 'M12 6.5V21M8 10h8M4 14c.5 4 4 7 8 7s7.5-3 8-7M10 4.5a2 2 0 1 0 4 0a2 2 0 1 0-4 0',
  boat: 'M3 15h18l-3 5H6zM11 13V3l8 10z',
  buoy: 'M8 17L10 7h4l2 10zM12 7V3M9 12h6M3 20c2-1.6 4 1.6 6 0s4-1.6 6 0 4 1.6 6 0',
  crab: 'M6 14a6 4.2 0 1 0 12 0a6 4.2 0 1 0-12 0M6.5 12C4 11 3 8.5 4.5 6l2.5 2M17.5 12C20 11 21 8.5 19.5 6L17 8M7 17l-3 3M17 17l3 3M10 18l-1 3M14 18l1 3',
  fish: 'M3 12c3-5.5 10-6 14 0-4 6-11 5.5-14 0zM17 12l4-4v8zM7.5 11v.01',
  flag: 'M5 21V3M5 4h14l-4 4 4 4H5',
  gull: 'M2 10c4-4 7-2 10 4 3-6 6-8 10-4',
  lamp: 'M9 8h6l1.5 10h-9zM6 21h12M10 8V6a2 2 0 0 1 4 0v2M12 11v4',
  moon: 'M16 3a9 9 0 1 0 5 13A8.5 8.5 0 0 1 16 3z',
  net: 'M4 4h16l-3 16H7zM9.5 4l1 16M14.5 4l-1 16M5 9.5h14M6 15h12',
  oar: 'M14 10L4 20M13 11c-1-4 3-8 8-8 0 5-4 9-8 8z',
  shell: 'M12 20C5 19 3 12 5 8c4-5 10-5 14 0 2 4 0 11-7 12zM12 20V4.5M12 20L7.5 6M12 20l4.5-14',
  star: 'M12 3l2.6 6 6.4.6-5 4.4 1.6 6.5-5.6-3.5-5.6 3.5L8 14 3 9.6l6.4-.6z',
  sun: 'M8 12a4 4 0 1 0 8 0a4 4 0 1 0-8 0M12 2v3M12 19v3M2 12h3M19 12h3M5 5l2 2M17 17l2 2M19 5l-2 2M7 17l-2 2',
  wave: 'M2 9c3-4 5-4 7 0s4 4 7 0 4-3 6-1M2 16c3-4 5-4 7 0s4 4 7 0 4-3 6-1',
  whale:
    'M3 13c0 4 3.5 7 8 7 6 0 8-4 8-9l3-3M19 11l-3.5-3M3 13c0-3 3-4 6-4s5 3 10 2M8 13v.01M9 6V3M9 3C8 2 6.5 2.5 6 4M9 3c1-1 2.5-.5 3 1',
}

export const THINGS = Object.keys(DRAWN)

export function Thing({ name, size }: { name: string; size: number }) {
  return (
    <svg
      role="img"
      aria-label={name}
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <path d={DRAWN[name]} />
    </svg>
  )
}
