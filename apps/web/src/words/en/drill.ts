export const drill = {
  addressNoAddressLikeWs192: '{address} is no address like ws://192.168.1.20:4320.',
  coach: 'Coach',
} as const;
