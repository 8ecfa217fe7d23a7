<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130220000 extends AbstractMigration
{
    private const TABLES = ['hours_override', 'person_status', 'sign_in'];

    public function getDescription(): string
    {
        return 'Whatever changes what is live gives it another revision, by which it is known without being read.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE live_state (revision UUID NOT NULL)');
        $this->addSql('INSERT INTO live_state VALUES (gen_random_uuid())');
        $this->addSql(
            <<<'SQL'
            CREATE FUNCTION live_state_changes() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                UPDATE live_state SET revision = gen_random_uuid();
                RETURN NULL;
            END
            $$
            SQL
            ,
        );
        foreach (self::TABLES as $table) {
            $this->addSql(
                \sprintf(
                    'CREATE TRIGGER live_state_changes AFTER INSERT OR UPDATE OR DELETE OR TRUNCATE ON %s FOR EACH STATEMENT EXECUTE FUNCTION live_state_changes()',
                    $table,
                ),
            );
        }
    }

    public function down(Schema $schema): void
    {
        foreach (self::TABLES as $table) {
            $this->addSql(\sprintf('DROP TRIGGER live_state_changes ON %s', $table));
        }
        $this->addSql('DROP FUNCTION live_state_changes()');
        $this->addSql('DROP TABLE live_state');
    }
}
