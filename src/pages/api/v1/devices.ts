import { deviceReply } from '../../../server/devices/listener';
import { endpoint, wrongMethod } from '../../../server/http/endpoint';

export const GET = endpoint('devices', () => deviceReply());
export const ALL = wrongMethod('GET');
