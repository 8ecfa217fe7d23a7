<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261129010000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Of what is published it is known why it is so, without reading the edition.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE edition_element ADD COLUMN why VARCHAR(1000) DEFAULT NULL');
        $this->list(', why', ", one->>'why'");
    }

    public function down(Schema $schema): void
    {
        $this->list('', '');
        $this->addSql('ALTER TABLE edition_element DROP COLUMN why');
    }

    private function list(string $column, string $value): void
    {
        $this->addSql(
            "CREATE OR REPLACE FUNCTION list_edition_elements() RETURNS trigger LANGUAGE plpgsql AS \$\$ BEGIN
                INSERT INTO edition_element (number, id, kind, name, hash$column)
                    SELECT NEW.number, one->>'id', one->>'kind', one->>'name', CAST(md5(CAST(one AS text)) AS uuid)$value
                    FROM jsonb_array_elements(CAST(NEW.document AS jsonb)->'elements') AS one;
                RETURN NULL;
            END \$\$",
        );
    }
}
