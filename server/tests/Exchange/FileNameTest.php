<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Exchange;

use ChalkLadder\Server\Exchange\FileName;
use PHPUnit\Framework\TestCase;

final class FileNameTest extends TestCase
{
    public function testADownloadIsNamedByWhatItIs(): void
    {
        self::assertSame('Tides check · 8 Heron, 8 Tern · marks.csv', (string) FileName::of('Tides check', ['8 Heron', '8 Tern'], 'marks', 'csv'));
        self::assertSame('Tides · 4 classes · marks.csv', (string) FileName::of('Tides', ['a', 'b', 'c', 'd'], 'marks', 'csv'));
        self::assertSame('Tides.pdf', (string) FileName::of('Tides', [], '', 'pdf'));
    }

    public function testWhatNoFileSystemTakesIsLeftOut(): void
    {
        $name = FileName::of("../etc/passwd\0\r\nX-A: \"1\" 50 % <b>", ['A\\B'], 'marks', 'csv');
        self::assertSame('etc passwd X-A 1 50 b · A B · marks.csv', (string) $name);
        self::assertSame(1, preg_match('/^[ -~]+$/D', $name->disposition()));
        self::assertStringContainsString("filename*=utf-8''etc%20passwd", $name->disposition());
    }

    public function testOldProgramsGetPlainLetters(): void
    {
        self::assertStringContainsString('filename="Zluty kun - klic.pdf"', FileName::of('Žlutý kůň', [], 'klíč', 'pdf')->disposition());
    }
}
