<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

/** A heading with what stands below it: sentences, a picture, lines, outlines and tables, in this order. */
final readonly class Chapter
{
    /**
     * @param list<string> $sentences
     * @param list<Row>    $outline
     * @param list<Table>  $tables
     * @param list<Line>   $lines
     */
    public function __construct(
        public Heading $heading,
        public array $sentences = [],
        public array $outline = [],
        public array $tables = [],
        public array $lines = [],
        public ?WeekPicture $picture = null,
    ) {}
}
