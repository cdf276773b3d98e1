export const api = {
  serverDoesNotAnswerWhatYou:
    'The server does not answer. What you record is kept here and sent when it does.',
} as const;
