/** Reading a body: its type and size are looked at before its bytes, and text that no database can hold is refused with its place. */
import { joined } from '@fox-tempo/core/base/messages';
import { message } from '@fox-tempo/words';
import { findTrouble, type Endpoint } from '@fox-tempo/contract';
import express, { type RequestHandler } from 'express';
import { HttpProblem, invalidInput } from './problem.ts';

const usualLimitKb = 256;

export function bodyReader(endpoint: Endpoint): RequestHandler[] {
  const limit = `${endpoint.limitKb ?? usualLimitKb}kb`;
  if (endpoint.takes === 'bytes') return [express.raw({ type: () => true, limit, inflate: false })];
  if (!endpoint.body) return [];
  return [onlyJson, express.json({ limit, strict: false }), checkText];
}

/** A body of another type would be ignored in silence; say so instead. */
const onlyJson: RequestHandler = (request, _response, next) => {
  const hasBody = request.get('content-length') !== undefined && request.get('content-length') !== '0';
  if ((hasBody || request.get('transfer-encoding') !== undefined) && !request.is('application/json')) {
    throw new HttpProblem('unsupported-type', message('server.http.hint.send-json'));
  }
  next();
};

const checkText: RequestHandler = (request, _response, next) => {
  const trouble = findTrouble(request.body);
  if (trouble) {
    throw invalidInput([
      {
        path: trouble.path,
        code: trouble.code,
        message: joined([trouble.path || message('server.http.the-body'), trouble.says], ': '),
      },
    ]);
  }
  next();
};
