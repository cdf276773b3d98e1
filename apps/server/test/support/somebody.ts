import request from 'supertest';
import type { TestServer } from './server.js';

export const OWNER = {
  name: 'Mara',
  email: 'mara@example.org',
  password: 'quick feet, quiet head',
};

export const SIGN_IN = { email: OWNER.email, password: OWNER.password };

/** A device: what it signs in as stays with it. */
export class Somebody {
  private readonly agent: ReturnType<typeof request.agent>;

  constructor(server: TestServer) {
    this.agent = request.agent(server.address);
  }

  get(path: string): request.Test {
    return this.agent.get(path);
  }

  put(path: string, body: object): request.Test {
    return this.agent.put(path).send(body);
  }

  post(path: string, body: object): request.Test {
    return this.agent.post(path).send(body);
  }

  delete(path: string): request.Test {
    return this.agent.delete(path);
  }
}
