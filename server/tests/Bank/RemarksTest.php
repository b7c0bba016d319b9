<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;

/** What the team says about its questions and papers. */
final class RemarksTest extends ApiCase
{
    private const ID = '0190a0a0-0000-7000-8000-0000000000c1';

    public function testARemarkIsOpenUntilSettledAndOnceHoweverOftenItIsSent(): void
    {
        $path = '/items/'.$this->world->items['choice'].'/remarks';
        $this->as($this->world->teacher);
        $body = ['id' => self::ID, 'part' => 'b', 'text' => ' Half of them read it off the poster. '];
        $this->get('POST', $path, $body);
        $made = $this->get('POST', $path, $body);
        self::assertCount(1, $made->list('remarks'), 'a lost answer, asked for again');
        self::assertSame(['b', 'Half of them read it off the poster.', true], [
            $made->text('remarks.0.part'), $made->text('remarks.0.text'), $made->at('remarks.0.own'),
        ]);
        self::assertSame(1, $this->listed());

        $this->as($this->world->lead);
        self::assertFalse($this->get('GET', $path)->at('remarks.0.own'));
        $settled = $this->get('POST', '/remarks/'.self::ID.'/settle');
        self::assertIsString($settled->at('remarks.0.settledBy'));
        self::assertSame(0, $this->listed());
        $this->get('POST', '/remarks/'.self::ID.'/reopen');
        self::assertSame(1, $this->listed());
    }

    public function testOnlyItsWriterTakesItOut(): void
    {
        $path = '/items/'.$this->world->items['choice'].'/remarks';
        $this->as($this->world->teacher)->get('POST', $path, ['id' => self::ID, 'text' => 'Not fair.']);
        $this->as($this->world->lead);
        $this->refused(409, 'DELETE', '/remarks/'.self::ID);
        $this->as($this->world->stranger);
        $this->refused(404, 'DELETE', '/remarks/'.self::ID);
        $this->refused(404, 'GET', $path);
        $this->as($this->world->teacher);
        self::assertSame([], $this->get('DELETE', '/remarks/'.self::ID)->list('remarks'));
        $this->refused(422, 'POST', $path, ['id' => self::ID, 'text' => '  ']);
    }

    public function testAPaperIsTalkedOfToo(): void
    {
        $path = '/papers/'.$this->world->paperId.'/remarks';
        $open = fn (): int => $this->get('GET', '/papers')->list('papers')[0]->int('remarks');
        $this->as($this->world->teacher);
        $body = ['id' => self::ID, 'part' => 's2', 'text' => 'Too long for one lesson.'];
        $this->get('POST', $path, $body);
        self::assertCount(1, $this->get('POST', $path, $body)->list('remarks'));
        self::assertSame([1, 0], [$open(), $this->listed()]);
        self::assertSame([], $this->get('GET', '/items/'.$this->world->items['choice'].'/remarks')->list('remarks'));
        $settled = $this->as($this->world->lead)->get('POST', '/remarks/'.self::ID.'/settle');
        self::assertSame('s2', $settled->text('remarks.0.part'), 'what comes back is the paper’s talk');
        self::assertSame(0, $open());
        $this->as($this->world->stranger)->refused(404, 'GET', $path);
        $this->refused(404, 'POST', '/remarks/'.self::ID.'/reopen');
        $this->as($this->world->teacher)->refused(404, 'GET', '/papers/'.$this->world->items['choice'].'/remarks');
    }

    private function listed(): int
    {
        foreach ($this->get('GET', '/items')->list('items') as $item) {
            if ($item->text('id') === $this->world->items['choice']) {
                return $item->int('remarks');
            }
        }

        return -1;
    }
}
