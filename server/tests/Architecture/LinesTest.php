<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** Lines stay under 140 characters. A text in one piece and the shape of a row, which cannot be broken, count as nothing. */
final class LinesTest extends TestCase
{
    private const MOST = 140;

    public function testNoLineIsLongerThanAScreenIsWide(): void
    {
        $long = [];
        $root = dirname(__DIR__, 3);
        foreach (['core/src', 'core/tests', 'server/src', 'server/tests', 'server/migrations', 'demo/src', 'ops'] as $folder) {
            $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$root/$folder", \FilesystemIterator::SKIP_DOTS));
            foreach ($files as $file) {
                if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                    foreach (explode("\n", (string) file_get_contents($file->getPathname())) as $i => $line) {
                        if (self::isTooLong($line)) {
                            $long[] = substr($file->getPathname(), strlen($root) + 1).':'.($i + 1);
                        }
                    }
                }
            }
        }
        self::assertSame([], $long);
        self::assertTrue(self::isTooLong('        $a = '.str_repeat('$b + ', 30).'$c;'), 'and it would be seen');
        self::assertFalse(self::isTooLong("        \$a = '".str_repeat('word ', 40)."';"));
    }

    private static function isTooLong(string $line): bool
    {
        if (mb_strlen($line) <= self::MOST || preg_match('/^ *(?:\*|\/\*\*) +@/', $line) === 1) {
            return false;
        }
        $bare = preg_replace('/\'(?:[^\'\\\\]|\\\\.)*\'|"(?:[^"\\\\]|\\\\.)*"/', "''", $line);

        return mb_strlen((string) $bare) > self::MOST;
    }
}
