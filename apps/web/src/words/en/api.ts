export const api = {
  serverDoesNotAnswerWhatYou:
    'The server does not answer. What you record is kept here and sent when it does.',
  thereNothingThisAddressMayOld:
    'There is nothing at this address. It may be old, or what it named was taken out of the club.',
  serverCouldNotStoreRest: 'The server could not store the rest, for a reason of its own.',
  messageRequest: '{message} (request {id})',
  squadToSee: 'Squad',
  everyone: 'Everyone',
} as const;
