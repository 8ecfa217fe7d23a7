<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** Who mentions what, kept with every write of stored elements, so that none has to be read to find out. */
interface MentionIndex
{
    /**
     * @param string $text an element's id, something that can be dialled, or a number that is called
     *
     * @return list<string> ids of the elements that mention it
     */
    public function of(string $text): array;
}
