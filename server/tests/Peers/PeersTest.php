<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Peers;

use ChalkLadder\Server\Roster\Erasing;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** Questions that students write: from the invitation to the bank, and what reaches whom on the way. */
final class PeersTest extends ApiCase
{
    private const INVITATION = '0190a0a0-0000-7000-8000-0000000000e1';
    private const ONE = '0190a0a0-0000-7000-8000-0000000000e2';

    private const QUESTION = [
        'prompt' => 'What comes after high water?', 'key' => 0, 'because' => 'SECRET because',
        'options' => [['text' => 'the ebb', 'why' => ''], ['text' => 'the flood', 'why' => 'SECRET why'], ['text' => 'nothing', 'why' => 'SECRET other']],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->as($this->world->teacher)->get('POST', '/invitations', [
            'id' => self::INVITATION, 'classId' => $this->world->classId, 'topic' => ' Tides ',
        ]);
    }

    public function testOneSentTwiceStandsOnceAndOneChangedElsewhereIsNotOverwritten(): void
    {
        $this->as($this->world->students['Ada Okafor']);
        $this->write(self::QUESTION);
        $again = $this->write(self::QUESTION);
        self::assertCount(1, $again->list('invitations.0.own'));
        self::assertSame(['Tides', 1, 'waiting', true], [
            $again->text('invitations.0.topic'), $again->at('invitations.0.own.0.version'), $again->text('invitations.0.own.0.state'),
            $again->at('invitations.0.own.0.mayChange'),
        ]);
        $better = ['prompt' => 'And after high water?'] + self::QUESTION;
        self::assertSame(2, $this->write($better, 1)->at('invitations.0.own.0.version'));
        $this->refused(409, 'PUT', '/me/proposals/'.self::ONE, self::sent(['prompt' => 'From another device'] + self::QUESTION, 1));
        self::assertSame('And after high water?', $this->get('GET', '/me/invitations')->text('invitations.0.own.0.question.prompt'));
    }

    public function testNobodyElseSeesItUntilATeacherShowsItAndTheKeyComesWithTheAnswer(): void
    {
        $ada = $this->world->students['Ada Okafor'];
        $ben = $this->world->students['Benoît Larsen'];
        $this->as($ada);
        $this->write(self::QUESTION);
        $this->as($ben);
        self::assertSame([], $this->get('GET', '/me/invitations')->list('invitations.0.others'));
        $this->refused(404, 'POST', '/me/proposals/'.self::ONE.'/answer', ['option' => 1, 'version' => 1]);

        $this->as($this->world->teacher)->get('POST', '/proposals/'.self::ONE.'/show', []);
        $seen = $this->as($ben)->get('GET', '/me/invitations');
        self::assertSame(['the ebb', 'the flood', 'nothing'], $seen->at('invitations.0.others.0.options'));
        self::assertNull($seen->at('invitations.0.others.0.by'), 'without a name');
        self::assertNull($seen->at('invitations.0.others.0.key'));
        self::assertStringNotContainsString('SECRET', (string) $this->browser->getResponse()->getContent());
        self::assertStringNotContainsString('Okafor', (string) $this->browser->getResponse()->getContent());

        $told = $this->get('POST', '/me/proposals/'.self::ONE.'/answer', ['option' => 1, 'version' => 1]);
        self::assertSame([1, 0, 'SECRET why', 'SECRET because'], [
            $told->at('invitations.0.others.0.picked'), $told->at('invitations.0.others.0.key'), $told->text('invitations.0.others.0.why'),
            $told->text('invitations.0.others.0.because'),
        ]);
        self::assertStringNotContainsString('SECRET other', (string) $this->browser->getResponse()->getContent());
        // The first answer counts, however often it is given.
        $this->get('POST', '/me/proposals/'.self::ONE.'/answer', ['option' => 0, 'version' => 1]);
        $queue = $this->as($this->world->teacher)->get('GET', '/invitations/'.self::INVITATION);
        self::assertSame([0, 1, 0], $queue->at('proposals.0.taken'));

        $this->get('POST', '/proposals/'.self::ONE.'/show', ['named' => true]);
        self::assertSame('Ada Okafor', $this->as($ben)->get('GET', '/me/invitations')->text('invitations.0.others.0.by'));
        $this->as($ada);
        $this->refused(409, 'PUT', '/me/proposals/'.self::ONE, self::sent(['prompt' => 'Another one?'] + self::QUESTION, 1));
        $this->as($this->world->teacher)->get('POST', '/proposals/'.self::ONE.'/hide');
        self::assertSame([], $this->as($ben)->get('GET', '/me/invitations')->list('invitations.0.others'));
    }

    public function testSentBackItIsTheStudentsTurnAndOldAnswersAreNotCountedForTheNewText(): void
    {
        $this->as($this->world->students['Ada Okafor']);
        $this->write(self::QUESTION);
        $this->as($this->world->teacher)->get('POST', '/proposals/'.self::ONE.'/show', []);
        $this->as($this->world->students['Benoît Larsen'])->get('POST', '/me/proposals/'.self::ONE.'/answer', ['option' => 1, 'version' => 1]);
        $back = $this->as($this->world->teacher)->get('POST', '/proposals/'.self::ONE.'/send-back', ['words' => ' Two could be right. ']);
        self::assertSame(['sent back', false], [$back->text('proposals.0.state'), $back->at('proposals.0.shown')]);
        $this->get('POST', '/invitations/'.self::INVITATION.'/close');

        $own = $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/invitations');
        self::assertSame('Two could be right.', $own->text('invitations.0.own.0.words'));
        // Closed means: no new ones. What was sent back may still be mended.
        $this->write(['prompt' => 'What comes first?'] + self::QUESTION, 1);
        $this->refused(409, 'PUT', '/me/proposals/0190a0a0-0000-7000-8000-0000000000e3', self::sent(self::QUESTION));

        $queue = $this->as($this->world->teacher)->get('POST', '/proposals/'.self::ONE.'/show', []);
        self::assertSame(['waiting', [0, 0, 0]], [$queue->text('proposals.0.state'), $queue->at('proposals.0.taken')]);
        $this->as($this->world->students['Benoît Larsen']);
        self::assertNull($this->get('GET', '/me/invitations')->at('invitations.0.others.0.picked'));
        $this->refused(409, 'POST', '/me/proposals/'.self::ONE.'/answer', ['option' => 0, 'version' => 1]);
    }

    public function testLetInItStandsInTheBankOnceAndComesBackOutAgain(): void
    {
        $this->as($this->world->students['Ada Okafor']);
        $this->write(self::QUESTION);
        $this->as($this->world->teacher);
        $in = $this->get('POST', '/proposals/'.self::ONE.'/let-in', ['named' => true]);
        $item = $in->text('proposals.0.itemId');
        self::assertSame($item, $this->get('POST', '/proposals/'.self::ONE.'/let-in', [])->text('proposals.0.itemId'));
        $question = $this->get('GET', "/items/$item");
        self::assertSame(['What comes after high water?', 'Ada Okafor, 8 Kestrel', 'SECRET why'], [
            $question->text('item.title'), $question->text('student'), $question->text('item.rule.options.1.feedback'),
        ]);
        $this->refused(409, 'POST', '/proposals/'.self::ONE.'/send-back', ['words' => 'No.']);
        $out = $this->get('POST', '/proposals/'.self::ONE.'/take-back');
        self::assertSame('waiting', $out->text('proposals.0.state'));
        self::assertTrue($this->get('GET', "/items/$item")->at('archived'));
        self::assertNull($this->get('GET', "/items/$item")->at('student'));
    }

    public function testOnlyTheClassIsAskedAndAnErasedStudentsWordsGo(): void
    {
        $ada = $this->world->students['Ada Okafor'];
        $this->as($ada);
        $this->write(self::QUESTION);
        $item = $this->as($this->world->teacher)->get('POST', '/proposals/'.self::ONE.'/let-in', ['named' => true])->text('proposals.0.itemId');
        $this->get('DELETE', "/classes/{$this->world->classId}/students/{$this->world->students['Benoît Larsen']->id}");
        $this->as($this->world->students['Benoît Larsen']);
        $this->refused(401, 'GET', '/me/invitations');

        self::service(Erasing::class)->erase($ada->teamId, $ada->id);
        $this->as($this->world->teacher);
        self::assertSame([], $this->get('GET', '/invitations/'.self::INVITATION)->list('proposals'));
        self::assertNull($this->get('GET', "/items/$item")->at('student'), 'the team keeps the question, without a name');
    }

    public function testAnotherClassOfTheTeamNeitherSeesNorAnswersNorWrites(): void
    {
        $this->as($this->world->students['Ada Okafor']);
        $this->write(self::QUESTION);
        $this->as($this->world->teacher)->get('POST', '/proposals/'.self::ONE.'/show', []);
        $this->as($this->world->join('8 Tern', 'Dee Marrow'));
        self::assertSame([], $this->get('GET', '/me/invitations')->list('invitations'));
        $this->refused(404, 'POST', '/me/proposals/'.self::ONE.'/answer', ['option' => 1, 'version' => 1]);
        $this->refused(404, 'PUT', '/me/proposals/0190a0a0-0000-7000-8000-0000000000e3', self::sent(self::QUESTION));
    }

    public function testNoMoreThanSoManyEach(): void
    {
        $this->as($this->world->students['Ada Okafor']);
        for ($i = 0; $i < 20; ++$i) {
            $this->get('PUT', sprintf('/me/proposals/0190a0a0-0000-7000-8000-%012d', $i), self::sent(['prompt' => "No. $i?"] + self::QUESTION));
        }
        $refusal = $this->refused(422, 'PUT', '/me/proposals/'.self::ONE, self::sent(self::QUESTION));
        self::assertSame('You have written 20 already. Make one of those better.', $refusal->text('fields.prompt'));
    }

    /** @param array<string, mixed> $question */
    private function write(array $question, int $version = 0): Json
    {
        return $this->get('PUT', '/me/proposals/'.self::ONE, self::sent($question, $version));
    }

    /**
     * @param array<string, mixed> $question
     *
     * @return array<string, mixed>
     */
    private static function sent(array $question, int $version = 0): array
    {
        return ['invitationId' => self::INVITATION, 'question' => $question, 'version' => $version];
    }
}
