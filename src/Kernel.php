<?php

declare(strict_types=1);

namespace Meandros\Server;

use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    /** Each state of the code has a compiled container of its own, so that one is built beside the one in use. */
    public function getCacheDir(): string
    {
        $build = $_SERVER['MEANDROS_BUILD'] ?? '';

        return parent::getCacheDir() . (\is_string($build) && '' !== $build ? '-' . $build : '');
    }
}
