// Sentences are held against what is read: that a figure and its unit stay on one line is tested by itself.
jest.mock('../../src/words/unbroken', () => ({ unbroken: (text: string) => text }));
