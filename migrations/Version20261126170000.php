<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126170000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The draft of one database is told from that of another made in its place.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE draft ADD incarnation UUID DEFAULT gen_random_uuid() NOT NULL');
        $this->addSql('CREATE INDEX draft_element_listed ON draft_element (kind, name, id)');
        $this->addSql('DROP INDEX draft_element_kind');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('CREATE INDEX draft_element_kind ON draft_element (kind, name)');
        $this->addSql('DROP INDEX draft_element_listed');
        $this->addSql('ALTER TABLE draft DROP COLUMN incarnation');
    }
}
