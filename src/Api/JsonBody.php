<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Json\Input;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Exception\UnsupportedMediaTypeHttpException;

/** Reads a request's JSON. The content type is required: it keeps other sites' forms from writing here. */
final class JsonBody
{
    private const DEEPEST = 128;

    /** @throws InvalidData */
    public static function data(Request $request): mixed
    {
        if ('json' !== $request->getContentTypeFormat()) {
            throw new UnsupportedMediaTypeHttpException('Send JSON, with the content type application/json.');
        }
        try {
            return json_decode($request->getContent(), true, self::DEEPEST, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw InvalidData::at('', \sprintf('This is not a JSON document: %s.', $exception->getMessage()), 'Send well-formed JSON.');
        }
    }

    /**
     * Of requests that say all in their address: an empty object.
     *
     * @throws InvalidData
     */
    public static function nothing(Request $request): void
    {
        self::read($request, static fn (Input $in) => $in->onlyFields([]));
    }

    /**
     * @template T
     *
     * @param \Closure(Input): T $read
     *
     * @return T
     *
     * @throws InvalidData
     */
    public static function read(Request $request, \Closure $read): mixed
    {
        return Input::read(self::data($request), $read);
    }
}
