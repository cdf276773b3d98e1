/** The club that comes with the app: always the same, so that it is found again and never mistaken. */
export const DEMO_CLUB_ID = '019ab000-0000-7000-8000-000000000001';
