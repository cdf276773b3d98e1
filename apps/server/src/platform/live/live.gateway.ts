import { createHash } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import type { OnModuleDestroy } from '@nestjs/common';
import {
  ConnectedSocket,
  MessageBody,
  SubscribeMessage,
  WebSocketGateway,
  type OnGatewayConnection,
  type OnGatewayDisconnect,
} from '@nestjs/websockets';
import {
  isHolder,
  LiveEnd,
  LiveQuery,
  LiveTell,
  MAX_LIVE_BYTES,
  mayTell,
  type LiveRole,
  validationProblems,
} from '@orthokin/contract';
import type { Problem } from '@orthokin/core/result';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { WebSocket } from 'ws';
import { deviceName } from '../auth/device-name.js';
import { WhoAsks } from '../auth/who-asks.js';
import { Addresses } from '../http/addresses.js';
import { Codes } from './codes.js';
import { Present } from './present.js';
import { Rooms, type Member } from './rooms.js';

/** WebSocket close code "policy violation" (RFC 6455). */
const POLICY = 1008;
/** A drill's screens send about ten messages a second; more than this is a fault or an attack. */
const MOST_A_SECOND = 60;
/** How soon somebody who was signed out on another server loses a room they hold. */
const LOOK_AGAIN_MS = 30_000;

function read<T extends object>(of: ClassConstructor<T>, given: unknown): T | Problem {
  const value = plainToInstance(of, typeof given === 'object' && given !== null ? given : {});
  const [problem] = validationProblems(
    validateSync(value, { whitelist: true, forbidNonWhitelisted: true }),
  );
  return problem ?? value;
}

const isProblem = (value: object): value is Problem => 'allowed' in value && 'given' in value;

const refuse = (socket: WebSocket, { field, given, allowed }: Problem): void =>
  socket.send(JSON.stringify({ event: 'refused', field, given, allowed }));

/**
 * The id other screens know a screen by: a hash of its secret, so that nobody who has seen the id can impersonate it.
 */
const publicId = (secret: string): string =>
  createHash('sha256').update(secret).digest('base64url').slice(0, 22);

/** The live channel's WebSocket endpoint: one socket per screen. */
@WebSocketGateway({ path: '/api/live', maxPayload: MAX_LIVE_BYTES })
export class LiveGateway implements OnGatewayConnection, OnGatewayDisconnect, OnModuleDestroy {
  private readonly joined = new Map<WebSocket, Member>();
  private readonly letIn = new Map<WebSocket, Promise<void>>();
  private readonly codes = new Codes();
  /** Sockets that run a room, with the request that authenticated them, for checking it again later. */
  private readonly holders = new Map<WebSocket, IncomingMessage>();
  private readonly looking = setInterval(() => void this.lookAgain(), LOOK_AGAIN_MS);
  private readonly said = new Map<WebSocket, { second: number; count: number }>();

  constructor(
    private readonly rooms: Rooms,
    private readonly addresses: Addresses,
    private readonly whoAsks: WhoAsks,
    private readonly present: Present,
  ) {
    this.whoAsks.onSignedOut(() => void this.lookAgain());
  }

  onModuleDestroy(): void {
    clearInterval(this.looking);
  }

  handleConnection(socket: WebSocket, request: IncomingMessage): void {
    const { searchParams } = new URL(request.url ?? '', 'http://localhost');
    const query = read(LiveQuery, Object.fromEntries(searchParams));
    if (isProblem(query)) {
      refuse(socket, query);
      socket.close(POLICY, query.field);
      return;
    }
    // The client's own address: behind a proxy all sockets share one, and a single guesser would lock everybody out.
    const address = this.addresses.askedFrom(request);
    const { host, origin } = request.headers;
    if (!this.addresses.isOwnHost(host) || !this.addresses.isOwnOrigin(origin, host)) {
      socket.close(POLICY, 'another page');
      return;
    }
    if (!this.codes.mayTry(address, query.room)) {
      refuse(socket, { field: 'room', given: 'many codes', allowed: 'a few a minute; wait' });
      socket.close(POLICY, 'too many codes');
      return;
    }
    const member: Member = {
      ...{ room: query.room, role: query.role, screen: publicId(query.screen), name: '' },
      device: deviceName(request.headers['user-agent']),
      since: new Date(),
      hear: (news) => socket.send(news),
      end: () => socket.close(POLICY, 'ended'),
    };
    if (this.rooms.isShutOut(member)) {
      refuse(socket, { field: 'screen', given: 'one that was ended', allowed: 'another code' });
      socket.close(POLICY, 'ended');
      return;
    }
    if (isHolder(member.role))
      this.letIn.set(socket, this.holds(socket, member, request, query.club ?? null));
    else this.join(socket, member);
  }

  /** Authenticates a socket that wants to run a room; its other messages wait meanwhile. */
  private async holds(
    socket: WebSocket,
    member: Member,
    request: IncomingMessage,
    club: string | null,
  ): Promise<void> {
    const { clubIds, name } = await this.whoAsks.runsDrills(request);
    const clubId = clubIds.find((each) => each === (club ?? clubIds[0]));
    if (clubId === undefined) {
      this.showOut(socket, member.role);
      return;
    }
    if (socket.readyState !== socket.OPEN) return;
    this.holders.set(socket, request);
    this.present.isOf(member.room, clubId);
    this.join(socket, { ...member, name });
  }

  /** Takes rooms away from sockets whose owner was signed out, here or on another server. */
  private async lookAgain(): Promise<void> {
    for (const [socket, request] of this.holders) {
      const role = this.joined.get(socket)?.role ?? 'drill';
      // If the database is away for a moment nobody's drill is ended.
      const may = await this.whoAsks.runsDrills(request).catch(() => null);
      if (may?.clubIds.length === 0) this.showOut(socket, role);
    }
  }

  private showOut(socket: WebSocket, role: LiveRole): void {
    refuse(socket, {
      field: 'role',
      given: role,
      allowed: 'to be signed in, to run drills',
    });
    socket.close(POLICY, 'not signed in');
  }

  private join(socket: WebSocket, member: Member): void {
    this.joined.set(socket, member);
    this.rooms.join(member);
    this.present.came(member);
  }

  handleDisconnect(socket: WebSocket): void {
    const member = this.joined.get(socket);
    this.joined.delete(socket);
    this.said.delete(socket);
    this.letIn.delete(socket);
    this.holders.delete(socket);
    if (!member) return;
    this.rooms.leave(member);
    this.present.went(member);
  }

  @SubscribeMessage('tell')
  async tell(@ConnectedSocket() socket: WebSocket, @MessageBody() data: unknown): Promise<void> {
    if (!this.joined.has(socket)) await this.letIn.get(socket);
    const member = this.joined.get(socket);
    if (!member) return;
    if (this.isTooMuch(socket)) {
      socket.close(POLICY, 'too much');
      return;
    }
    const told = read(LiveTell, data);
    if (isProblem(told)) {
      refuse(socket, told);
      return;
    }
    const { type, to = null, body } = told;
    if (!mayTell(member.role, type)) {
      refuse(socket, {
        field: 'type',
        given: type,
        allowed: `what a screen may say as ${member.role}`,
      });
      return;
    }
    this.rooms.say(member, to, {
      event: 'told',
      from: member.screen,
      role: member.role,
      type,
      body,
    });
  }

  @SubscribeMessage('end')
  end(@ConnectedSocket() socket: WebSocket, @MessageBody() data: unknown): void {
    const member = this.joined.get(socket);
    const asked = read(LiveEnd, data);
    if (isProblem(asked)) refuse(socket, asked);
    else if (member && isHolder(member.role))
      this.rooms.end({ room: member.room, screen: asked.screen });
  }

  private isTooMuch(socket: WebSocket): boolean {
    const second = Math.floor(Date.now() / 1000);
    const before = this.said.get(socket);
    const count = before?.second === second ? before.count + 1 : 1;
    this.said.set(socket, { second, count });
    return count > MOST_A_SECOND;
  }
}
