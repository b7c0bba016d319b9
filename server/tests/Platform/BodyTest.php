<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Tests\ApiCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** What is looked at before anything else looks at it. */
final class BodyTest extends ApiCase
{
    public function testUnknownMembersLeaveNoFilesBehind(): void
    {
        $this->as(null)->refused(422, 'POST', '/join', ['code' => 'BCDFG', 'name' => 'Ada', 'pin' => '1']);
        $before = self::cached();
        for ($i = 0; $i < 20; ++$i) {
            $this->refused(400, 'POST', '/join', array_fill_keys(array_map(static fn (int $n): string => "k$i-$n", range(1, 100)), 1));
        }
        $this->as($this->world->lead)->refused(
            400,
            'POST',
            '/handouts/'.$this->world->handOut().'/groupings',
            ['name' => 'x', 'groups' => [['name' => 'y', 'evil' => 1]]],
        );
        self::assertSame($before, self::cached());
    }

    public function testAnUnknownMemberIsNamed(): void
    {
        self::assertSame(
            ['groups.0.evil' => 'This is not known here.'],
            $this->as($this->world->lead)->refused(
                400,
                'POST',
                '/handouts/'.$this->world->handOut().'/groupings',
                ['name' => 'x', 'groups' => [['name' => 'y', 'evil' => 1]]],
            )->map('fields'),
        );
    }

    /** @return iterable<string, array{int, string, string, string}> status, method, path, body */
    public static function bodies(): iterable
    {
        yield 'long, of anybody' => [413, 'POST', '/join', '{"code": "'.str_repeat('x', 5000).'"}'];
        yield 'long' => [413, 'POST', '/items', '{"item": {"prompt": "'.str_repeat('x', 2_100_000).'"}}'];
        yield 'deep' => [400, 'POST', '/items', str_repeat('{"a":', 40).'1'.str_repeat('}', 40)];
        yield 'many members' => [413, 'POST', '/items', '{"item": ['.implode(',', array_fill(0, 70_000, '0')).']}'];
        yield 'a lone surrogate' => [400, 'POST', '/classes', '{"name": "\\ud800"}'];
        yield 'no UTF-8' => [400, 'POST', '/classes', "{\"name\": \"\xff\"}"];
        yield 'a NUL' => [422, 'POST', '/classes', '{"name": "a\\u0000b"}'];
        yield 'a NUL in a name' => [422, 'POST', '/classes', '{"na\\u0000me": "b"}'];
        yield 'a list' => [400, 'POST', '/classes', '[1]'];
        yield 'an empty moment' => [422, 'PUT', '/handouts/HANDOUT', '{"opensAt": ""}'];
        yield 'nested levels' => [
            422,
            'PUT',
            '/marks',
            '{"sittingId": "01900000-0000-7000-8000-000000000000", "entry": "e-open", "levels": [[1]]}',
        ];
        yield 'a pair of nobody' => [422, 'POST', '/handouts/HANDOUT/groups', '{"together": [null]}'];
        yield 'no credit' => [
            422,
            'PUT',
            '/marks',
            '{"sittingId": "01900000-0000-7000-8000-000000000000", "entry": "e-text", "credit": ""}',
        ];
        yield 'half a version' => [422, 'POST', '/papers/PAPER/publish', '{"version": 1.5}'];
        yield 'a query that is no text' => [400, 'GET', '/items?type=%ff', ''];
        yield 'an id that is none' => [404, 'GET', '/items?skill=------------------------------------', ''];
    }

    #[DataProvider('bodies')]
    public function testItIsRefusedBeforeItDoesHarm(int $status, string $method, string $path, string $body): void
    {
        $path = str_replace(['HANDOUT', 'PAPER'], [$this->world->handOut(), $this->world->paperId], $path);
        $this->as($this->world->lead)->refused($status, $method, $path, $body === '' ? null : $body);
    }

    public function testABackslashBeforeANulsNameIsText(): void
    {
        self::assertSame('8 \\u0000', $this->as($this->world->lead)->get('POST', '/classes', ['name' => '8 \\u0000'])->text('name'));
    }

    public function testAnotherTeamsRequestIdIsNobodysBusiness(): void
    {
        $body = [
            'editionId' => $this->world->editionId,
            'classes' => [$this->world->classId],
            'requestId' => '01900000-0000-7000-8000-000000000001',
        ];
        $first = $this->as($this->world->teacher)->get('POST', '/handouts', $body)->text('id');
        $this->tables->run('UPDATE handout SET team_id = :team WHERE id = :id', ['team' => $this->world->stranger->teamId, 'id' => $first]);
        self::assertNotSame($first, $this->get('POST', '/handouts', $body)->text('id'));
    }

    /** How many files the framework's caches hold. */
    private static function cached(): int
    {
        $dir = self::getContainer()->getParameter('kernel.cache_dir');
        self::assertIsString($dir);
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($dir, \FilesystemIterator::SKIP_DOTS));

        return iterator_count($files);
    }
}
