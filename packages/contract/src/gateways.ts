import { ArrayMaxSize, ArrayUnique, IsArray, Matches, MaxLength } from 'class-validator';

/** The address of a gateway. Without a path, and without characters that could end a Content-Security-Policy rule. */
export const GATEWAY_ADDRESS = /^wss?:\/\/[\w.[\]:-]+$/;
/** Enough for a hall or two, with one gateway each. */
const MOST_GATEWAYS = 8;
const LONGEST_ADDRESS = 200;

/** Beacon gateways on the network that a club's pages may connect to. */
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
  /** Gateways from the server's settings, which are allowed for every club. */
  @IsArray()
  @MaxLength(LONGEST_ADDRESS, { each: true })
  always: string[];
}
