<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261129000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What differs between plans is found without reading them: of each element there is a hash.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'ALTER TABLE draft_element ADD COLUMN hash UUID NOT NULL GENERATED ALWAYS AS (CAST(md5(CAST(body AS text)) AS uuid)) STORED',
        );
        $this->addSql(
            'CREATE TABLE edition_element (number INT NOT NULL REFERENCES edition (number) ON DELETE CASCADE, id VARCHAR(64) NOT NULL, kind VARCHAR(20) NOT NULL, name VARCHAR(200) NOT NULL, hash UUID NOT NULL, PRIMARY KEY (number, id))',
        );
        $elements = "one->>'id', one->>'kind', one->>'name', CAST(md5(CAST(one AS text)) AS uuid)";
        $this->addSql(
            "INSERT INTO edition_element SELECT number, $elements FROM edition, jsonb_array_elements(CAST(document AS jsonb)->'elements') AS one",
        );
        $this->addSql(
            "CREATE FUNCTION list_edition_elements() RETURNS trigger LANGUAGE plpgsql AS \$\$ BEGIN
                INSERT INTO edition_element SELECT NEW.number, $elements FROM jsonb_array_elements(CAST(NEW.document AS jsonb)->'elements') AS one;
                RETURN NULL;
            END \$\$",
        );
        $this->addSql(
            'CREATE TRIGGER edition_elements AFTER INSERT ON edition FOR EACH ROW EXECUTE FUNCTION list_edition_elements()',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TRIGGER edition_elements ON edition');
        $this->addSql('DROP FUNCTION list_edition_elements()');
        $this->addSql('DROP TABLE edition_element');
        $this->addSql('ALTER TABLE draft_element DROP COLUMN hash');
    }
}
