<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127020000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Editions that come into force later, and those that were published although an expectation is broken.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE edition ADD COLUMN in_force_from BIGINT, ADD COLUMN revoked_at BIGINT');
        $this->addSql('UPDATE edition SET in_force_from = floor(extract(epoch FROM published_at))');
        $this->addSql('ALTER TABLE edition ALTER COLUMN in_force_from SET NOT NULL');
        $this->addSql("ALTER TABLE edition ADD COLUMN despite JSONB NOT NULL DEFAULT '{}'");
        $this->addSql(
            'CREATE INDEX edition_in_force ON edition (in_force_from DESC, number DESC) WHERE revoked_at IS NULL',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX edition_in_force');
        $this->addSql('ALTER TABLE edition DROP COLUMN in_force_from, DROP COLUMN revoked_at, DROP COLUMN despite');
    }
}
