<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Server\Sound\Uploads;

/**
 * By which processes requests of a route are answered, and how much they may bring: defaults of the route. What says nothing is
 * answered by those that people wait for while they edit, and brings a short question.
 */
final class Served
{
    public const BY = '_served';
    public const TAKES = '_takes';

    /** Bytes of a question, which is short: nothing is saved of it. */
    public const QUESTION = 64_000;
    /** Bytes of one element, the largest being a list of a hundred thousand callers, which is one text; or of a plan of ten thousand, or of another file inside JSON. */
    private const LARGE = 8_000_000;

    /** Whole plans, files and years. */
    public const LONG = [self::BY => 'long'];
    /** What is computed of many calls: every ending, years, impact, promises. */
    public const PROOF = [self::BY => 'proof'];
    public const ELEMENT = [self::TAKES => self::LARGE];
    public const FILE = self::LONG + [self::TAKES => self::LARGE];
    public const UPLOAD = self::LONG + [self::TAKES => Uploads::MOST_BYTES];
}
