<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Architecture;

use Doctrine\ORM\EntityManagerInterface;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** SQL stands in ReadModel alone, and each room's names its own tables alone. Platform is not exempt. */
final class StatementsTest extends KernelTestCase
{
    private const ROOT = __DIR__.'/../../src/';
    private const STATEMENT = '/\b(?:SELECT\s.+\sFROM\s|INSERT\s+INTO\s|UPDATE\s+\w+\s+(?:\w+\s+)?SET\s|DELETE\s+FROM\s|(?:LEFT |INNER )?JOIN\s+\w+\s)/s';
    private const TABLE = '/\b(?:FROM|JOIN|INTO|UPDATE)\s+(?:LATERAL\s+)?([a-z_]+)\b(?!\()/';

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::ROOT, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $name = str_replace(self::ROOT, '', $file->getPathname());
                yield $name => [$name];
            }
        }
    }

    #[DataProvider('files')]
    public function testAFileKeepsToItsRoom(string $name): void
    {
        $strings = self::strings((string) file_get_contents(self::ROOT.$name));
        if (!str_contains($name, '/ReadModel/')) {
            self::assertSame(
                [],
                array_values(array_filter($strings, static fn (string $s): bool => preg_match(self::STATEMENT, $s) === 1)),
                'SQL stands in ReadModel alone.',
            );

            return;
        }
        $own = self::tables()[explode('/', $name)[0]] ?? [];
        $all = array_merge(...array_values(self::tables()));
        $foreign = [];
        foreach ($strings as $string) {
            preg_match_all(self::TABLE, $string, $found);
            array_push($foreign, ...array_diff(array_intersect($found[1], $all), $own));
        }
        self::assertSame([], array_values(array_unique($foreign)), 'Another room’s tables are reached through its read model.');
    }

    public function testTheCheckSeesWhatItIsThereFor(): void
    {
        foreach ([
            'SELECT a FROM item',
            "SELECT a,\n b FROM item i",
            'UPDATE item SET a = 1',
            'UPDATE item i SET a = 1',
            'INSERT INTO item (a)',
            'DELETE FROM item',
        ] as $sql) {
            self::assertMatchesRegularExpression(self::STATEMENT, $sql.' ');
            preg_match_all(self::TABLE, $sql, $found);
            self::assertSame(['item'], $found[1]);
        }
        self::assertContains('response', self::tables()['Sitting']);
        self::assertContains('class_member', self::tables()['Roster']);
    }

    /** @return array<string, list<string>> the tables of each room, by its entities */
    private static function tables(): array
    {
        /** @var array<string, list<string>> $tables */
        static $tables = [];
        if ($tables === []) {
            $entities = self::getContainer()->get(EntityManagerInterface::class);
            assert($entities instanceof EntityManagerInterface);
            foreach ($entities->getMetadataFactory()->getAllMetadata() as $class) {
                $tables[explode('\\', $class->getName())[2]][] = $class->getTableName();
            }
        }

        return $tables;
    }

    /** @return list<string> the literals of a file, those that are joined together as one, with a space for what stands between */
    private static function strings(string $php): array
    {
        $strings = [];
        $current = '';
        foreach (\PhpToken::tokenize($php) as $token) {
            if (in_array($token->id, [T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE], true)) {
                $current .= trim($token->text, '\'"').' ';
            } elseif (in_array($token->text, [';', '{', '}', ',', '=>'], true) && $current !== '') {
                $strings[] = $current;
                $current = '';
            }
        }

        return $strings;
    }
}
