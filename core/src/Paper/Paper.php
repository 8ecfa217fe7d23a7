<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

/** A whole plan as a document to read, to explain and to sign, in one language. */
final readonly class Paper
{
    /**
     * @param string        $language of its words, ISO 639-1
     * @param string        $about    which plan it is, and of which day
     * @param list<Chapter> $chapters
     * @param list<string>  $signing  what is to be filled in at the end
     */
    public function __construct(
        public string $language,
        public string $title,
        public string $about,
        public array $chapters,
        public array $signing,
    ) {}
}
