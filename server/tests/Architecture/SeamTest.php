<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A type of answer is one folder. Nothing outside asks which type it has before it; the registry alone names them. */
final class SeamTest extends TestCase
{
    private const ROOT = __DIR__.'/../../../';
    private const REGISTRY = 'core/src/Item/ItemType.php';
    private const FOLDERS = 'core/src/Item/Type/';
    private const ASKING = [
        '/\bItem\\\\Type\\\\/',
        '/\bItemType::[A-Z]/',
        '/type\(?\)?\s*(?:===|!==|==|!=)\s*[\'"]/',
        '/match \(\$?[\w>()-]*type\(?\)?(?:->value)?\) \{/',
        '/\binstanceof (?:Choice|Text|Number|Expression|Gaps|Order|Match|Spot|Plot|Table|Open|Working|Recording|Upload|Floor)(?:Rule|Type)\b/',
    ];

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (['core/src', 'server/src'] as $part) {
            $all = new \RecursiveDirectoryIterator(self::ROOT.$part, \FilesystemIterator::SKIP_DOTS);
            foreach (new \RecursiveIteratorIterator($all) as $file) {
                $name = $file instanceof \SplFileInfo ? str_replace(self::ROOT, '', $file->getPathname()) : '';
                if (str_ends_with($name, '.php') && $name !== self::REGISTRY && !str_starts_with($name, self::FOLDERS)) {
                    yield $name => [$name];
                }
            }
        }
    }

    #[DataProvider('files')]
    public function testNothingOutsideAsksForAType(string $name): void
    {
        self::assertSame([], self::asking((string) file_get_contents(self::ROOT.$name)), 'Ask the rule, or its type’s definition.');
    }

    public function testTypesDoNotKnowEachOther(): void
    {
        $known = [];
        $files = glob(self::ROOT.self::FOLDERS.'*/*.php');
        foreach ($files === false ? [] : $files as $file) {
            $own = basename(dirname($file));
            preg_match_all('/Item\\\\Type\\\\(\w+)\\\\/', (string) file_get_contents($file), $found);
            foreach (array_diff($found[1], [$own]) as $other) {
                $known[] = "$own knows $other";
            }
        }
        self::assertSame([], $known);
    }

    public function testTheCheckSeesWhatItIsThereFor(): void
    {
        foreach ([
            'use ChalkLadder\Core\Item\Type\Choice\ChoiceRule;',
            'if ($rule instanceof ChoiceRule) {',
            'if ($item->type() === ItemType::Choice) {',
            "if (\$row['type'] === 'choice' || \$face->type === 'choice') {",
            'return match ($item->type()) {',
        ] as $line) {
            self::assertNotSame([], self::asking($line), $line);
        }
        self::assertSame([], self::asking('if ($rule instanceof Rubric) { $item->type()->definition()->seconds(); }'));
    }

    /** @return list<string> the lines that ask */
    private static function asking(string $code): array
    {
        return array_values(array_filter(
            explode("\n", $code),
            static fn (string $line): bool => array_filter(self::ASKING, static fn (string $p): bool => preg_match($p, $line) === 1) !== [],
        ));
    }
}
