import { ArrayMaxSize, ArrayUnique, IsArray, Matches, MaxLength } from 'class-validator';

/** An address a page may be let to connect to: no path, and nothing that ends a rule of a policy. */
export const GATEWAY_ADDRESS = /^wss?:\/\/[\w.[\]:-]+$/;
/** A hall or two, each with one. */
const MOST_GATEWAYS = 8;
const LONGEST_ADDRESS = 200;

/** Gateways of beacons on the network, to which a club's pages may connect. */
export class GatewaysBody {
  @IsArray()
  @ArrayMaxSize(MOST_GATEWAYS)
  @ArrayUnique()
  @MaxLength(LONGEST_ADDRESS, { each: true })
  @Matches(GATEWAY_ADDRESS, {
    each: true,
    message: 'each of addresses must be like ws://192.168.1.20:4320, without a path',
  })
  addresses: string[];
}

export class GatewaysReply extends GatewaysBody {
  /** Those that whoever started the server named, for every club of it. */
  @IsArray()
  @MaxLength(LONGEST_ADDRESS, { each: true })
  always: string[];
}
