<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Identity;

use ChalkLadder\Server\Identity\Origin;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class OriginTest extends TestCase
{
    #[TestWith(['https://pages.school.example', 'https://pages.school.example'])]
    #[TestWith([' HTTPS://Pages.School.Example/class/8?x=1#top ', 'https://pages.school.example'])]
    #[TestWith(['pages.school.example/class', 'https://pages.school.example'])]
    #[TestWith(['https://pages.school.example:443', 'https://pages.school.example'])]
    #[TestWith(['https://pages.school.example:8443/', 'https://pages.school.example:8443'])]
    #[TestWith(['http://localhost:8080/x', 'http://localhost:8080'])]
    #[TestWith(['https://10.0.0.4', 'https://10.0.0.4'])]
    public function testIsWhatComesBeforeThePage(string $typed, string $origin): void
    {
        self::assertSame($origin, Origin::of($typed));
    }

    #[TestWith([''])]
    #[TestWith(['the wiki'])]
    #[TestWith(['*'])]
    #[TestWith(['https://*.school.example'])]
    #[TestWith(["https://a.example; script-src 'unsafe-inline'"])]
    #[TestWith(["https://a.example\r\nX-Other: 1"])]
    #[TestWith(['https://a.example https://b.example'])]
    #[TestWith(['http://pages.school.example'])]
    #[TestWith(['javascript:alert(1)'])]
    #[TestWith(['data://x'])]
    #[TestWith(['https://'])]
    #[TestWith(['https://-a.example'])]
    public function testNothingElseIsOne(string $typed): void
    {
        $this->expectException(\DomainException::class);
        Origin::of($typed);
    }

    public function testNoAddressIsTooLongToBeSaid(): void
    {
        $this->expectExceptionMessage('at most 300');
        Origin::of('https://'.str_repeat('a.', 200).'example');
    }
}
