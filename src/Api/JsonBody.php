<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\UnsupportedMediaTypeHttpException;

/** Reads a request's JSON. The content type is required: it keeps other sites' forms from writing here. */
final class JsonBody
{
    private const DEEPEST = 128;
    /** Objects and lists of a document; each takes half a kilobyte of memory. A plan of ten thousand elements has some fifty thousand. */
    private const MOST_PARTS = 120_000;

    /**
     * As much as its route takes.
     *
     * @throws InvalidData
     */
    public static function data(Request $request): mixed
    {
        if ('json' !== $request->getContentTypeFormat()) {
            throw new UnsupportedMediaTypeHttpException('Send JSON, with the content type application/json.');
        }
        $text = $request->getContent();
        $most = $request->attributes->getInt(Served::TAKES, Served::QUESTION);
        if (\strlen($text) > $most || substr_count($text, '{') + substr_count($text, '[') > self::MOST_PARTS) {
            throw new HttpException(
                413,
                \sprintf(
                    'This is too much at once: keep it to %d kB and %d objects and lists.',
                    intdiv($most, 1000),
                    self::MOST_PARTS,
                ),
            );
        }
        try {
            return json_decode($text, true, self::DEEPEST, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw InvalidData::at('', 'not-json', ['reason' => $exception->getMessage()]);
        }
    }

    /**
     * Of requests that say all in their address: an empty object.
     *
     * @throws InvalidData
     */
    public static function nothing(Request $request): void
    {
        self::read($request, static fn(Input $in) => $in->onlyFields([]));
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
