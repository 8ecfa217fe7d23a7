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
    /** Bytes of a question, which is short: nothing is saved of it. */
    public const QUESTION = 64_000;
    /** Bytes of one element, the largest being a list of a hundred thousand callers, which is one text. */
    public const ELEMENT = 8_000_000;
    /** Bytes of a plan or of another file inside JSON. */
    public const FILE = 8_000_000;

    private const DEEPEST = 128;
    /** Objects and lists of a document; each takes half a kilobyte of memory. A plan of ten thousand elements has some fifty thousand. */
    private const MOST_PARTS = 120_000;

    /**
     * @param int $most bytes
     *
     * @throws InvalidData
     */
    public static function data(Request $request, int $most = self::QUESTION): mixed
    {
        if ('json' !== $request->getContentTypeFormat()) {
            throw new UnsupportedMediaTypeHttpException('Send JSON, with the content type application/json.');
        }
        $text = $request->getContent();
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
     * @param int                $most bytes
     *
     * @return T
     *
     * @throws InvalidData
     */
    public static function read(Request $request, \Closure $read, int $most = self::QUESTION): mixed
    {
        return Input::read(self::data($request, $most), $read);
    }
}
