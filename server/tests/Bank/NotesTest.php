<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

final class NotesTest extends ApiCase
{
    private const REQUEST = '0190a0a0-0000-7000-8000-0000000000aa';
    private const NOTES = "Which water is highest? [2]\nv springs\nx neaps ! Look at the moon. # secret idea\n\nHow far?\n= 3.5 km";

    public function testNotesAreShownBeforeTheyAreKeptAndKeptAllOrNone(): void
    {
        $this->as($this->world->teacher);
        $before = $this->get('GET', '/items')->int('total');
        $read = $this->get('POST', '/items/notes', ['text' => self::NOTES]);
        self::assertSame(['choice', 'number'], array_map(static fn (mixed $i): mixed => is_array($i) ? $i['type'] : null, $read->column('questions', 'item')));
        self::assertSame($this->world->idea, $read->at('questions.0.item.rule.options.1.misconception'));
        self::assertSame('No skill is named, so this question says nothing in results by skill.', $read->at('questions.0.defects.0.message'));
        self::assertSame($before, $this->get('GET', '/items')->int('total'), 'looked at only');

        $faulty = self::NOTES."\n\nWhat now?\nperhaps";
        self::assertSame(8, $this->get('POST', '/items/notes', ['text' => $faulty])->at('questions.2.faults.0.line'));
        self::assertStringStartsWith('Line 8:', $this->refused(422, 'POST', '/items/notes/keep', ['text' => $faulty, 'requestId' => self::REQUEST])->text('fields.text'));
        self::assertSame($before, $this->get('GET', '/items')->int('total'), 'none is kept');

        $kept = $this->get('POST', '/items/notes/keep', ['text' => self::NOTES, 'requestId' => self::REQUEST]);
        self::assertCount(2, $kept->list('ids'));
        self::assertSame($before + 2, $this->get('GET', '/items')->int('total'));
        $again = $this->get('POST', '/items/notes/keep', ['text' => self::NOTES, 'requestId' => self::REQUEST]);
        self::assertEquals($kept->list('ids'), $again->list('ids'), 'whoever lost the answer asks once more');
        self::assertSame($before + 2, $this->get('GET', '/items')->int('total'), 'and nothing is kept twice');
        self::assertSame(
            "Which water is highest? [2]\nv springs\nx neaps ! Look at the moon. # SECRET idea\n",
            $this->get('GET', "/items/{$kept->text('ids.0')}/notes")->text('text'),
        );
    }

    public function testATableIsReadRowByRow(): void
    {
        $this->as($this->world->teacher);
        $read = $this->get('POST', '/items/notes', ['table' => true, 'text' => "question\tmarks\tright\twrong 1\twrong 2\n"
            ."\"Which buoy, by day?\"\t2\tred\tgreen # secret idea\tyellow\nx is 3. What is 2x?\t\t6\t\t\n\t\t\t\t\nWhat?\t\t\t\t\n"]);
        self::assertSame([2, 3, 5], $read->column('questions', 'line'));
        self::assertSame('Which buoy, by day?', $read->at('questions.0.item.title'));
        self::assertSame('2', $read->at('questions.0.item.points'));
        self::assertSame([true, false, false], $read->column('questions.0.item.rule.options', 'key'));
        self::assertSame($this->world->idea, $read->at('questions.0.item.rule.options.1.misconception'));
        self::assertSame(['<p>x is 3. What is 2x?</p>', 'number'], [$read->at('questions.1.item.prompt'), $read->at('questions.1.item.type')]);
        self::assertStringStartsWith('This question has no key.', $read->text('questions.2.faults.0.message'));
        $unknown = $this->get('POST', '/items/notes', ['table' => true, 'text' => "question,colour\na,b"]);
        self::assertStringStartsWith('A column “colour” is not known.', $unknown->text('questions.0.faults.0.message'));
    }

    public function testAnotherTeamsRequestIsAnother(): void
    {
        $body = ['text' => self::NOTES, 'requestId' => self::REQUEST];
        $this->as($this->world->teacher);
        $ids = static fn (Json $kept): array => [$kept->text('ids.0'), $kept->text('ids.1')];
        $ours = $ids($this->get('POST', '/items/notes/keep', $body));
        $this->as($this->world->stranger);
        $theirs = $ids($this->get('POST', '/items/notes/keep', ['text' => str_replace(' # secret idea', '', self::NOTES)] + $body));
        self::assertSame([], array_intersect($ours, $theirs));
    }

    public function testWhatNotesNameMustBeTheTeams(): void
    {
        $this->as($this->world->teacher);
        $other = $this->get('POST', '/items/notes', ['text' => "skill: (0190a0a0-0000-7000-8000-000000000000)\n".self::NOTES]);
        self::assertSame('This skill is not one of the team’s.', $other->text('questions.0.faults.0.message'));
        $script = $this->get('POST', '/items/notes', ['text' => "<p>Which?<script>alert(1)</script></p>\nv <b onclick=\"x()\">a</b>\nx b"]);
        self::assertStringNotContainsString('script', json_encode($script->at('questions.0.item'), JSON_THROW_ON_ERROR));
        self::assertStringNotContainsString('onclick', json_encode($script->at('questions.0.item'), JSON_THROW_ON_ERROR));
        self::assertSame(422, $this->ask('POST', '/items/notes', ['text' => str_repeat('a', 200_001)])->getStatusCode());
    }
}
