<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;

/** Searches that one keeps. */
final class KeptSearchesTest extends ApiCase
{
    public function testEachKeepsTheirOwnUnderANameOnce(): void
    {
        $this->as($this->world->teacher);
        $this->get('POST', '/bank/searches', ['name' => ' Hard ones ', 'query' => 'right=low']);
        $kept = $this->get('POST', '/bank/searches', ['name' => 'Hard ones', 'query' => 'right=low&used=1']);
        self::assertSame([['Hard ones'], ['right=low&used=1']], [$kept->column('searches', 'name'), $kept->column('searches', 'query')]);
        $id = $kept->text('searches.0.id');

        $this->as($this->world->lead);
        self::assertSame([], $this->get('GET', '/bank/searches')->list('searches'));
        $this->refused(404, 'DELETE', "/bank/searches/$id");
        $this->as($this->world->teacher);
        self::assertSame([], $this->get('DELETE', "/bank/searches/$id")->list('searches'));
    }

    public function testWhatIsNoSearchIsRefused(): void
    {
        $this->as($this->world->teacher);
        self::assertSame('Give it a name.', $this->refused(422, 'POST', '/bank/searches', ['name' => ' ', 'query' => 'q=a'])->text('fields.name'));
        foreach (['', 'q=<script>', 'https://else.where/', str_repeat('a', 601)] as $query) {
            $this->refused(422, 'POST', '/bank/searches', ['name' => 'x', 'query' => $query]);
        }
        for ($i = 0; $i < 30; ++$i) {
            $this->get('POST', '/bank/searches', ['name' => "s$i", 'query' => 'q=a']);
        }
        self::assertStringStartsWith('You keep 30', $this->refused(422, 'POST', '/bank/searches', ['name' => 's31', 'query' => 'q=a'])->text('fields.name'));
    }
}
