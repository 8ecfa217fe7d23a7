<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** Something that belongs to a site, and goes by its clock. */
interface AtSite extends Element
{
    /** By id. */
    public function site(): string;
}
