import { parentPort } from 'node:worker_threads';
import { answerSceneText } from '@/store/scene/answerSceneText';

/** Answers scenes beside the server, one at a time: text in, the reply out. */
parentPort!.on('message', (text: string) => parentPort!.postMessage(answerSceneText(text)));
