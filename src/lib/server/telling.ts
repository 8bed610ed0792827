// Work in a thread that tells of what it has so far: all of it is heard before the answer.
import { MessageChannel, receiveMessageOnPort, type MessagePort } from 'node:worker_threads';

/**
 * Do something that tells of what it has so far.
 *
 * @param work is given the port to tell through
 */
export async function telling<T>(
	onNews: ((news: unknown) => void) | undefined,
	work: (port: MessagePort) => Promise<T>
): Promise<T> {
	const { port1, port2 } = new MessageChannel();
	port1.on('message', (news: unknown) => onNews?.(news));
	try {
		return await work(port2);
	} finally {
		// What was said before the answer may still lie in the port, and closing it would drop that.
		for (let left = receiveMessageOnPort(port1); left; left = receiveMessageOnPort(port1))
			onNews?.(left.message as unknown);
		port1.close();
	}
}
