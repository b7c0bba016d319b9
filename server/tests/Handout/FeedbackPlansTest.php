<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Handout;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Plan;

/** Plans that a team keeps, and what is said of one before it is used. */
final class FeedbackPlansTest extends ApiCase
{
    public function testTheTeamKeepsItsOwnUnderANameOnce(): void
    {
        $this->as($this->world->teacher);
        $tells = ['verdict' => 'handed in', 'marks' => 'closed'];
        $this->get('POST', '/feedback-plans', ['name' => ' Marks on Friday ', 'tells' => $tells]);
        $taken = $this->refused(422, 'POST', '/feedback-plans', ['name' => 'MARKS on Friday', 'tells' => []]);
        self::assertSame('The team has a plan called “Marks on Friday” already.', $taken->text('fields.name'));

        $kept = $this->as($this->world->lead)->get('GET', '/feedback-plans');
        self::assertSame(['Marks on Friday'], $kept->column('plans', 'name'));
        self::assertSame(['handed in', 'closed', 'returned'], [
            $kept->text('plans.0.tells.verdict'),
            $kept->text('plans.0.tells.marks'),
            $kept->text('plans.0.tells.key'),
        ]);
        self::assertSame([], $this->get('DELETE', '/feedback-plans/'.$kept->text('plans.0.id'))->list('plans'));
    }

    public function testWhatIsNoPlanIsRefusedAtItsPlace(): void
    {
        $this->as($this->world->teacher);
        self::assertSame(
            ['tells.key'],
            array_keys((array) $this->refused(422, 'POST', '/feedback-plans', ['name' => 'x', 'tells' => ['key' => 'soon']])->at('fields')),
        );
        self::assertSame('Give it a name.', $this->refused(422, 'POST', '/feedback-plans', ['name' => ' '])->text('fields.name'));
        for ($i = 0; $i < 40; ++$i) {
            $this->get('POST', '/feedback-plans', ['name' => "p$i"]);
        }
        self::assertStringStartsWith('The team keeps 40', $this->refused(422, 'POST', '/feedback-plans', ['name' => 'more'])->text('fields.name'));
    }

    public function testWhatAPlanWouldGiveAwayIsSaidBeforeItIsUsed(): void
    {
        $this->as($this->world->teacher);
        $said = $this->get('POST', '/feedback-plans/read', [
            'tells' => Plan::AFTER_HAND_IN, 'editionId' => $this->world->editionId, 'attempts' => 2, 'closes' => true,
        ]);
        self::assertSame([
            'The key and the worked answer are out while others still sit: whoever is told can pass it on.',
            'With more than one attempt, the next begins with what was told of the one before.',
        ], $said->at('concerns'));
        self::assertSame(['', ''], [$said->text('handedIn'), $said->text('closed')]);
        $said = $this->get('POST', '/feedback-plans/read', ['tells' => ['verdict' => 'closed', 'feedback' => 'closed'], 'closes' => false]);
        self::assertSame(['No closing time is set: right or wrong and feedback wait until you close the handout yourself.'], $said->at('concerns'));
        self::assertStringStartsWith('Right or wrong and feedback come when everybody is done.', $said->text('handedIn'));
        self::assertStringStartsWith('Marks, the key and the worked answer come', $said->text('closed'));
    }

    public function testAPaperWhoseQuestionsComeBackIsKnown(): void
    {
        $this->as($this->world->teacher);
        $document = $this->world->paperDocument(null, ['returns' => 1, 'credits' => ['1', '1/2']]);
        $paper = $this->get('POST', '/papers', ['paper' => ['title' => 'Again'] + $document]);
        $edition = $this->get('POST', '/papers/'.$paper->text('id').'/publish', ['version' => $paper->int('version')])->text('editionId');
        $said = fn (string $editionId): array => (array) $this->get('POST', '/feedback-plans/read', ['editionId' => $editionId])->at('concerns');
        self::assertStringContainsString('Missed questions come back here', (string) json_encode($said($edition)));
        self::assertSame([], $said($this->world->editionId));
    }

    public function testQuestionsWhoseKeysAreOutAreNamed(): void
    {
        $handout = $this->world->handOut(['feedback' => ['verdict' => 'handed in', 'key' => 'handed in']]);
        $said = fn (StaffUser $who): array => (array) $this->as($who)
            ->get('POST', '/feedback-plans/read', ['editionId' => $this->world->editionId])->at('concerns');
        $sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        self::assertSame([], $said($this->world->teacher), 'nobody has been told yet');
        $this->as($this->world->students['Ada Okafor']);
        $this->get('POST', "/me/sittings/$sitting/go-on", ['visit' => 1]);
        $this->get('POST', "/me/sittings/$sitting/hand-in", ['visit' => 2]);
        self::assertSame(['Questions 1, 2, 3 and 4 have been given back with their keys before.'], $said($this->world->teacher));
    }
}
