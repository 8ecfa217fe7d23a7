<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130030000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A job at which the worker dies again and again is given up.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE job ADD COLUMN begun INT NOT NULL DEFAULT 0');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE job DROP COLUMN begun');
    }
}
