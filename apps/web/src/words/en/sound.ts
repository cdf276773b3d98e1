export const sound = {
  noMicrophoneOverPlainHttp:
    'No microphone can be used over plain HTTP: record on the device that serves.',
  microphoneNotAllowed: 'The browser does not allow the microphone here.',
  nothingHeardFor: 'Nothing was heard for “{word}”. Say it again, closer.',
} as const;
