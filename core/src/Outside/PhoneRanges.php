<?php

declare(strict_types=1);

namespace Meandros\Core\Outside;

/** What numbers belong to, and how they are dialled: the same in every plan, asked of the same ones again and again, and long to find out. */
interface PhoneRanges
{
    /** @param string $number E.164 */
    public function of(string $number): PhoneRange;

    /** What is dialled from a country, digits only. */
    public function dialled(string $number, string $country): string;
}
