<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** The encoding of a connection is that of the database, which is UTF-8: asking for it would take a way to the server and back with every request. */
#[AsMiddleware]
final readonly class AsTheDatabase implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class ($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                unset($params['charset']);

                return parent::connect($params);
            }
        };
    }
}
