<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Lookout;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Lookout\ChangedRows;
use ChalkLadder\Server\Lookout\Publisher;
use ChalkLadder\Server\Lookout\ReadModel\LookoutRows;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Live\ReadModel\ChannelNumbers;
use ChalkLadder\Server\Sitting\SittingChanged;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use Psr\Log\NullLogger;
use Symfony\Component\HttpClient\MockHttpClient;
use Symfony\Component\HttpClient\Response\MockResponse;

/** What goes to the screens that watch. */
final class PublisherTest extends ApiCase
{
    /** @var list<array{string, string, string}> method, address and body of what was sent */
    private array $sent = [];

    public function testAChangedRowIsSentOnceToTheScreensThatWatch(): void
    {
        $handout = $this->world->handOut();
        $id = $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']]]);
        $this->publish($handout, $id, true);

        self::assertSame(['GET', 'POST'], array_column($this->sent, 0));
        self::assertStringEndsWith('channel=handout-'.$handout, $this->sent[1][1]);
        $message = Json::of($this->sent[1][2]);
        self::assertSame(
            ['row', 'Ada Okafor', 'right', 'marked'],
            [$message->text('kind'), $message->text('row.name'), $message->text('row.cells.e-choice.code'), $message->text('row.state')],
        );
    }

    public function testMessagesAreNumberedAndAPictureSaysWhichItHolds(): void
    {
        $handout = $this->world->handOut();
        $id = $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']]]);
        $live = fn (): int => $this->as($this->world->teacher)->get('GET', "/handouts/$handout/lookout")->int('live');
        self::assertSame(0, $live());
        $numbers = [];
        for ($i = 0; $i < 3; ++$i) {
            $this->publish($handout, $id, true);
            $numbers[] = Json::of(end($this->sent)[2] ?? '')->int('n');
        }
        self::assertSame([$numbers[0], $numbers[0] + 1, $numbers[0] + 2], $numbers);
        self::assertSame($numbers[2], $live());
        self::assertSame(
            0,
            $this->as($this->world->students['Ada Okafor'])->get('GET', "/me/sittings/$id")->int('live'),
            'students have a channel of their own',
        );
    }

    public function testNobodyWatchingNothingSent(): void
    {
        $handout = $this->world->handOut();
        $this->publish($handout, $this->world->sit('Ada Okafor', $handout, []), false);
        self::assertSame(['GET'], array_column($this->sent, 0));
    }

    public function testWhatWasNeverWatchedIsNotEvenAskedFor(): void
    {
        $handout = $this->world->handOut();
        $this->publish($handout, $this->world->sit('Ada Okafor', $handout, []), null);
        self::assertSame([], $this->sent);
        $before = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/lookout")->int('live');
        $this->as($this->world->teacher)->ask('GET', "/handouts/$handout/live");
        self::assertSame([0, true], [$before, $this->get('GET', "/handouts/$handout/lookout")->int('live') > 0]);
    }

    /** @param bool|null $watched null where nobody ever was */
    private function publish(string $handout, string $sitting, ?bool $watched): void
    {
        $http = new MockHttpClient(function (string $method, string $url, array $options) use ($watched): MockResponse {
            $this->sent[] = [$method, $url, is_string($options['body'] ?? null) ? $options['body'] : ''];

            return new MockResponse($method === 'GET' && $watched === true ? '{"subscribers": 1}' : '');
        });
        if ($watched !== null) {
            self::service(ChannelNumbers::class)->open(Push::teachers($handout));
        }
        $push = new Push(self::service(ChannelNumbers::class), '/nowhere.sock', static fn (): MockHttpClient => $http, new NullLogger());
        $rows = new ChangedRows(self::service(Handouts::class), self::service(LookoutRows::class), self::service(Teams::class), $push);
        $publisher = new Publisher($push, static fn (): ChangedRows => $rows);
        $publisher->onChange(new SittingChanged($handout, $sitting));
        $publisher->onChange(new SittingChanged($handout, $sitting));
        $publisher->publish();
        $push->flush();
    }
}
