<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Doctrine\DBAL\Connection;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\RememberedAnswers;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/**
 * A write that carries an Idempotency-Key (draft-ietf-httpapi-idempotency-key-header) is done once: what it did and its
 * answer are stored together or not at all, and when it comes again it is given that answer. Refused writes changed
 * nothing and are looked at anew.
 */
final readonly class IdempotencyListener
{
    private const HEADER = 'Idempotency-Key';
    private const ATTRIBUTE = '_idempotency';
    private const KEPT_HEADERS = ['Content-Type', 'ETag'];
    /** A string of RFC 8941 3.3.3, without escapes. */
    private const KEY = '/^"([\x20\x21\x23-\x5B\x5D-\x7E]{1,200})"$/D';

    public function __construct(private Connection $database, private RememberedAnswers $answers) {}

    /** After routing, before the controller. */
    #[AsEventListener(priority: 4)]
    public function begin(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $header = $request->headers->get(self::HEADER);
        if (
            null === $header ||
            !$event->isMainRequest() ||
            !\in_array($request->getMethod(), ['POST', 'PUT', 'DELETE'], true)
        ) {
            return;
        }
        if (1 !== preg_match(self::KEY, $header, $part)) {
            throw new BadRequestHttpException(
                'The Idempotency-Key must be 1 to 200 printable ASCII characters in double quotes, such as "8e03978e-40d5".',
            );
        }
        $key = $part[1];
        $this->database->beginTransaction();
        $request->attributes->set(self::ATTRIBUTE, $key);
        if (!$this->answers->take($key)) {
            throw new ConflictHttpException(
                'A request with this Idempotency-Key is still at work. Ask again in a moment.',
                headers: ['Retry-After' => '1'],
            );
        }
        $known = $this->answers->find($key);
        if (null === $known) {
            return;
        }
        if (!hash_equals($known['fingerprint'], self::fingerprint($request))) {
            throw InvalidData::at('', 'key-of-another-request');
        }
        $event->setResponse(
            new Response($known['body'], $known['status'], ['Idempotency-Replayed' => 'true'] + $known['headers']),
        );
    }

    #[AsEventListener(priority: -100)]
    public function end(ResponseEvent $event): void
    {
        $request = $event->getRequest();
        $key = $request->attributes->get(self::ATTRIBUTE);
        if (!\is_string($key) || !$event->isMainRequest()) {
            return;
        }
        $request->attributes->remove(self::ATTRIBUTE);
        $response = $event->getResponse();
        // What is no JSON is a picture or a paper of what is there: nothing was done.
        $isAct = str_contains((string) $response->headers->get('Content-Type'), 'json');
        if (!$response->isSuccessful() || !$isAct || $response->headers->has('Idempotency-Replayed')) {
            $this->giveUp();

            return;
        }
        $headers = [];
        foreach (self::KEPT_HEADERS as $name) {
            if (null !== ($value = $response->headers->get($name))) {
                $headers[$name] = $value;
            }
        }
        $this->answers->keep(
            $key,
            self::fingerprint($request),
            $response->getStatusCode(),
            $headers,
            (string) $response->getContent(),
        );
        $this->database->commit();
    }

    /** What was begun is taken back; where the connection is lost, it is already. */
    private function giveUp(): void
    {
        try {
            $this->database->rollBack();
        } catch (\Doctrine\DBAL\Exception) {
            $this->database->close();
        }
    }

    private static function fingerprint(Request $request): string
    {
        return hash(
            'sha256',
            implode("\n", [
                $request->getMethod(),
                $request->getRequestUri(),
                $request->headers->get('If-Match', ''),
                $request->getContent(),
            ]),
        );
    }
}
