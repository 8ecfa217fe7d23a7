<?php

declare(strict_types=1);

namespace Meandros\Server\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Digests: of the hashes of a share's elements, the bitwise exclusive or, as elements come and go in any order. */
final class Version20261201010000 extends AbstractMigration
{
    private const SHARE = "SMALLINT NOT NULL GENERATED ALWAYS AS (get_byte(decode(md5(id), 'hex'), 0)) STORED";
    private const DIGEST = "bit_xor(CAST('x' || translate(CAST(hash AS text), '-', '') AS bit(128)))";

    public function getDescription(): string
    {
        return 'Plans are divided into 256 shares, whose digests say where two of them differ without all being read.';
    }

    public function up(Schema $schema): void
    {
        foreach (['draft_element' => 'share', 'edition_element' => 'number, share'] as $table => $columns) {
            $this->addSql(\sprintf('ALTER TABLE %s ADD COLUMN share %s', $table, self::SHARE));
            $this->addSql("CREATE INDEX {$table}_share ON $table ($columns)");
        }
        $this->addSql('CREATE TABLE draft_share (share SMALLINT PRIMARY KEY, digest BIT(128) NOT NULL)');
        $this->addSql(
            'CREATE TABLE edition_share (number INT NOT NULL REFERENCES edition (number) ON DELETE CASCADE, share SMALLINT NOT NULL, digest BIT(128) NOT NULL, PRIMARY KEY (number, share))',
        );
        $this->addSql(
            \sprintf('INSERT INTO draft_share SELECT share, %s FROM draft_element GROUP BY share', self::DIGEST),
        );
        $this->addSql(
            \sprintf(
                'INSERT INTO edition_share SELECT number, share, %s FROM edition_element GROUP BY 1, 2',
                self::DIGEST,
            ),
        );
        $this->draftTriggers();
        $this->editionTrigger();
    }

    public function down(Schema $schema): void
    {
        foreach (['insert', 'update', 'delete'] as $act) {
            $this->addSql("DROP TRIGGER draft_share_$act ON draft_element");
            $this->addSql("DROP FUNCTION draft_share_$act()");
        }
        $this->addSql('DROP TRIGGER edition_share ON edition_element');
        $this->addSql('DROP FUNCTION edition_share()');
        $this->addSql('DROP TABLE draft_share');
        $this->addSql('DROP TABLE edition_share');
        $this->addSql('ALTER TABLE draft_element DROP COLUMN share');
        $this->addSql('ALTER TABLE edition_element DROP COLUMN share');
    }

    private function draftTriggers(): void
    {
        $tables = ['insert' => ['written'], 'update' => ['gone', 'written'], 'delete' => ['gone']];
        foreach ($tables as $act => $seen) {
            $rows = implode(
                ' UNION ALL ',
                array_map(static fn(string $of): string => "SELECT share, hash FROM $of", $seen),
            );
            $names = ['written' => 'NEW TABLE AS written', 'gone' => 'OLD TABLE AS gone'];
            $this->addSql(
                \sprintf(
                    'CREATE FUNCTION draft_share_%s() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
                        INSERT INTO draft_share AS known SELECT share, %s FROM (%s) AS moved GROUP BY share
                            ON CONFLICT (share) DO UPDATE SET digest = known.digest # EXCLUDED.digest;
                        RETURN NULL;
                    END $$',
                    $act,
                    self::DIGEST,
                    $rows,
                ),
            );
            $this->addSql(
                \sprintf(
                    'CREATE TRIGGER draft_share_%1$s AFTER %1$s ON draft_element REFERENCING %2$s FOR EACH STATEMENT EXECUTE FUNCTION draft_share_%1$s()',
                    $act,
                    implode(' ', array_map(static fn(string $of): string => $names[$of], $seen)),
                ),
            );
        }
    }

    private function editionTrigger(): void
    {
        $this->addSql(
            \sprintf(
                'CREATE FUNCTION edition_share() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
                    INSERT INTO edition_share SELECT number, share, %s FROM listed GROUP BY 1, 2;
                    RETURN NULL;
                END $$',
                self::DIGEST,
            ),
        );
        $this->addSql(
            'CREATE TRIGGER edition_share AFTER INSERT ON edition_element REFERENCING NEW TABLE AS listed FOR EACH STATEMENT EXECUTE FUNCTION edition_share()',
        );
    }
}
