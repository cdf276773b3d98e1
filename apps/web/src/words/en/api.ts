export const api = {
  serverDoesNotAnswerWhatYou:
    'The server does not answer. What you record is kept here and sent when it does.',
  thereNothingThisAddressMayOld:
    'There is nothing at this address. It may be old, or what it named was taken out of the club.',
  serverCouldNotStoreRest: 'The server could not store the rest, for a reason of its own.',
  notForRole:
    'This is not for {role, select, floor {a device at the floor} athlete {athletes} assistant {assistants} other {your role}}. Whoever may see or do it signs in.',
  messageRequest: '{message} (request {id})',
  squadToSee: 'Squad',
  everyone: 'Everyone',
} as const;
