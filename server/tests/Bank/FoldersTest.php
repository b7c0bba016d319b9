<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** Folders of the bank: the team's and one's own. */
final class FoldersTest extends ApiCase
{
    /** @return list<string> names, one's own in brackets, with how many questions lie in each */
    private function folders(): array
    {
        return array_map(static fn (Json $f): string => sprintf(
            $f->at('own') === true ? '(%s) %d' : '%s %d',
            $f->text('name'),
            $f->int('questions'),
        ), $this->get('GET', '/bank/folders')->list('folders'));
    }

    private function make(string $name, bool $own = false): string
    {
        return $this->get('POST', '/bank/folders', ['name' => $name, 'own' => $own])->text('made');
    }

    public function testQuestionsAreFoundByTheFolderTheyLieIn(): void
    {
        $this->as($this->world->teacher);
        $folder = $this->make('Year 8');
        [$choice, $text] = [$this->world->items['choice'], $this->world->items['text']];
        $put = $this->get('PUT', "/bank/folders/$folder/items", ['put' => [$choice, $text]])->at('put');
        self::assertEqualsCanonicalizing([$choice, $text], $put);
        self::assertSame([], $this->get('PUT', "/bank/folders/$folder/items", ['put' => [$text]])->at('put'), 'it lay there already');
        $found = $this->get('GET', "/items?folder=$folder");
        self::assertSame([2, [$folder => 2]], [$found->int('total'), $found->at('folders')]);
        self::assertSame([$folder => 1], $this->get('GET', '/items?type=choice')->at('folders'));
        $this->get('PUT', "/bank/folders/$folder/items", ['take' => [$choice]]);
        self::assertSame([$text], $this->get('GET', "/items?folder=$folder")->column('items', 'id'));
        $this->get('POST', '/items/many/archive', ['ids' => [$text]]);
        self::assertSame(0, $this->get('GET', "/items?folder=$folder")->int('total'), 'what is archived is out of the list');
        self::assertSame(['Year 8 1'], $this->folders(), 'and lies there still');
    }

    public function testOnesOwnFolderIsSeenByNobodyElse(): void
    {
        $this->as($this->world->teacher);
        $own = $this->make('To improve', true);
        $this->make('Year 8');
        $this->get('PUT', "/bank/folders/$own/items", ['put' => [$this->world->items['choice']]]);
        self::assertSame(['Year 8 0', '(To improve) 1'], $this->folders());
        $this->as($this->world->lead);
        self::assertSame(['Year 8 0'], $this->folders());
        $found = $this->get('GET', "/items?folder=$own");
        self::assertSame([0, []], [$found->int('total'), $this->get('GET', '/items')->at('folders')]);
        foreach ([['PUT', "/bank/folders/$own", ['name' => 'Mine']], ['DELETE', "/bank/folders/$own", []],
            ['PUT', "/bank/folders/$own/items", ['put' => [$this->world->items['text']]]]] as [$method, $path, $body]) {
            $this->refused(404, $method, $path, $body);
        }
        $this->make('To improve', true);
        self::assertSame(['Year 8 0', '(To improve) 0'], $this->folders(), 'two people may call theirs the same');
    }

    public function testOneOfANameIsEnoughAndADroppedOneLeavesItsQuestions(): void
    {
        $this->as($this->world->teacher);
        $folder = $this->make('Year 8');
        $this->refused(422, 'POST', '/bank/folders', ['name' => ' year 8 ']);
        $this->refused(422, 'POST', '/bank/folders', ['name' => '']);
        $other = $this->make('Year 9');
        $this->refused(422, 'PUT', "/bank/folders/$other", ['name' => 'Year 8']);
        $this->get('PUT', "/bank/folders/$other", ['name' => 'Year nine']);
        $this->get('PUT', "/bank/folders/$folder/items", ['put' => [$this->world->items['text']]]);
        $before = $this->get('GET', '/items')->int('total');
        $this->get('DELETE', "/bank/folders/$folder");
        self::assertSame(['Year nine 0'], $this->folders());
        self::assertSame($before, $this->get('GET', '/items')->int('total'));
        $this->get('POST', '/bank/folders', ['name' => 'Year 8', 'items' => [$this->world->items['text']]]);
        self::assertSame(['Year 8 1', 'Year nine 0'], $this->folders(), 'it can be made again as it was');
    }

    public function testAnotherTeamsQuestionsStayOut(): void
    {
        $folder = $this->as($this->world->stranger)->make('Theirs');
        $this->refused(404, 'PUT', "/bank/folders/$folder/items", ['put' => [$this->world->items['text']]]);
        $this->refused(404, 'POST', '/bank/folders', ['name' => 'More', 'items' => [$this->world->items['text']]]);
        self::assertSame(['Theirs 0'], $this->folders());
        self::assertSame(0, $this->as($this->world->teacher)->get('GET', "/items?folder=$folder")->int('total'));
    }
}
