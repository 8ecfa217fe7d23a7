<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

/** A line of a list; beside another edition, whether it came or went. */
final readonly class Line
{
    public const ADDED = 'added';
    public const REMOVED = 'removed';

    /** @param self::ADDED|self::REMOVED|null $mark */
    public function __construct(public string $text, public ?string $mark = null, public int $depth = 0) {}
}
