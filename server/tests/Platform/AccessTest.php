<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Tests\RouteCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;

/**
 * Every route × every actor, on real subjects: whoever may, succeeds (2xx, not "let through and then refused"), and whoever
 * may not gets just the refusal the table names. A route that is not in the table fails the test: nothing is open by accident.
 */
final class AccessTest extends RouteCase
{
    private const ACTORS = ['nobody', 'student', 'other student', 'stranger', 'marker', 'teacher', 'lead'];
    private const OK = 'ok';
    private const ANYBODY = ['ok', 'ok', 'ok', 'ok', 'ok', 'ok', 'ok'];
    private const TEACHERS = [401, 401, 401, 'ok', 403, 'ok', 'ok'];
    private const TEAM = [401, 401, 401, 404, 403, 'ok', 'ok'];
    private const STAFF = [401, 401, 401, 'ok', 'ok', 'ok', 'ok'];
    private const STAFF_OF_TEAM = [401, 401, 401, 404, 'ok', 'ok', 'ok'];
    private const STUDENTS = [401, 'ok', 'ok', 401, 401, 401, 401];
    /** Ada's own; a student of the same class finds nothing. */
    private const OWN = [401, 'ok', 404, 401, 401, 401, 401];

    private const LEADS = [401, 401, 401, 404, 403, 403, 'ok'];

    /** The teacher's own; a colleague finds nothing. */
    private const ONE_OWN = [401, 401, 401, 404, 403, 'ok', 404];

    private const TABLE = [
        'GET /session' => self::ANYBODY, 'POST /session' => self::ANYBODY, 'DELETE /session' => self::ANYBODY,
        'GET /me/skills' => self::STUDENTS,
        'POST /join' => self::ANYBODY, 'POST /join/account' => self::ANYBODY,
        // Says only which pages may show it, and holds nothing of the work.
        'GET /framed/{handout}' => self::ANYBODY,
        // Its ticket stands in for a session; without one nobody gets in.
        'GET /print/papers/{paper}' => [401, 401, 401, 401, 401, 401, 401],

        'GET /bank/terms' => self::TEACHERS, 'POST /bank/skills' => self::TEACHERS, 'POST /bank/misconceptions' => self::TEACHERS,
        'PUT /bank/skills/{skill}' => self::TEAM, 'PUT /bank/misconceptions/{idea}' => self::TEAM,
        'PUT /bank/{kind}/{skill}/part-of' => self::TEAM, 'DELETE /bank/{kind}/{part}/part-of' => self::TEAM,
        'GET /bank/folders' => self::TEACHERS, 'POST /bank/folders' => self::TEACHERS, 'PUT /bank/folders/{folder}' => self::TEAM,
        'DELETE /bank/folders/{folder}' => self::TEAM, 'PUT /bank/folders/{folder}/items' => self::TEAM,
        'GET /bank/terms/records' => self::TEACHERS,
        'GET /bank/searches' => self::TEACHERS, 'POST /bank/searches' => self::TEACHERS, 'DELETE /bank/searches/{search}' => self::ONE_OWN,
        'GET /invitations' => self::TEACHERS, 'POST /invitations' => [401, 401, 401, 404, 403, 'ok', 'ok'],
        'GET /invitations/{invitation}' => self::TEAM, 'POST /invitations/{invitation}/close' => self::TEAM,
        'POST /invitations/{invitation}/reopen' => self::TEAM,
        'POST /proposals/{proposal}/show' => self::TEAM, 'POST /proposals/{proposal}/hide' => self::TEAM,
        'POST /proposals/{proposal}/send-back' => self::TEAM, 'POST /proposals/{proposal}/let-in' => self::TEAM,
        'POST /proposals/{proposal}/take-back' => self::TEAM,
        'GET /items' => self::TEACHERS, 'POST /items' => self::TEACHERS, 'POST /items/try' => self::TEACHERS, 'POST /items/try-all' => self::TEACHERS,
        'POST /items/draws' => self::TEACHERS,
        'POST /items/notes' => self::TEACHERS, 'POST /items/drawn' => self::TEACHERS, 'POST /items/notes/keep' => self::TEACHERS, 'GET /items/{item}/notes' => self::TEAM,
        'POST /items/many/archive' => self::TEAM, 'POST /items/many/restore' => self::TEAM, 'POST /items/many/copy' => self::TEAM,
        'POST /items/many/skills' => self::TEAM, 'PUT /items/{item}/part-of' => self::TEAM,
        'GET /items/{item}' => self::TEAM, 'PUT /items/{item}' => self::TEAM, 'DELETE /items/{item}' => self::TEAM,
        'POST /items/{item}/restore' => self::TEAM,
        'GET /items/{item}/remarks' => self::TEAM, 'POST /items/{item}/remarks' => self::TEAM,
        'POST /remarks/{remark}/settle' => self::TEAM, 'POST /remarks/{remark}/reopen' => self::TEAM,
        // Only who wrote it takes it out.
        'DELETE /remarks/{remark}' => [401, 401, 401, 404, 403, 'ok', 409],
        'GET /items/{item}/uses' => self::TEAM,
        'GET /items/{item}/history' => self::TEAM, 'GET /items/{item}/history/1' => self::TEAM,
        'GET /files' => self::STAFF, 'GET /files/{file}' => self::STAFF_OF_TEAM, 'GET /files/{own}' => self::STAFF_OF_TEAM,
        'GET /files/{scan}/pages/1' => self::STAFF_OF_TEAM,
        'POST /uploads' => self::TEACHERS, 'GET /uploads/{upload}' => self::ONE_OWN, 'PUT /uploads/{upload}' => self::ONE_OWN,
        'DELETE /uploads/{upload}' => self::ONE_OWN,
        'GET /sources' => self::TEACHERS, 'GET /papers' => self::TEACHERS, 'POST /papers' => self::TEACHERS,
        'GET /papers/{paper}' => self::TEAM, 'PUT /papers/{paper}' => self::TEAM, 'PUT /papers/{paper}/here' => self::TEAM,
        'POST /papers/{paper}/publish' => self::TEAM,
        'DELETE /papers/{paper}' => self::TEAM,
        'POST /papers/{paper}/restore' => self::TEAM, 'POST /papers/{paper}/preview' => self::TEAM,
        'POST /papers/{paper}/rehearsal' => self::TEAM, 'GET /papers/{paper}/blueprint' => self::TEAM, 'GET /papers/{paper}/editions' => self::TEAM,
        'GET /papers/{paper}/remarks' => self::TEAM, 'POST /papers/{paper}/remarks' => self::TEAM,
        'POST /papers/{paper}/pdf' => self::TEAM, 'GET /pdfs/{pdf}' => self::ONE_OWN, 'DELETE /pdfs/{pdf}' => self::ONE_OWN,
        // Printing needs a browser; who may is proved by those who may not.
        'POST /pdfs/{pdf}/file' => [401, 401, 401, 404, 403, null, 404],
        'GET /account' => self::STAFF, 'DELETE /account/sessions/{session}' => [401, 401, 401, 404, 404, 'ok', 404],
        'PUT /account/password' => self::STAFF,
        'PUT /account/colleagues/{marker}/password' => self::LEADS, 'PUT /account/colleagues/{marker}/role' => self::LEADS,
        'DELETE /account/colleagues/{marker}' => self::LEADS, 'POST /account/colleagues/{marker}/return' => self::LEADS,
        'POST /account/colleagues' => [401, 401, 401, 'ok', 403, 403, 'ok'],
        'PUT /account/team' => [401, 401, 401, 'ok', 403, 403, 'ok'],
        'POST /classes/from-files/preview' => self::TEACHERS, 'POST /classes/from-files' => self::TEACHERS,
        'GET /classes' => self::TEACHERS, 'POST /classes' => self::TEACHERS, 'GET /classes/{class}' => self::TEAM,
        'PUT /classes/{class}' => self::TEAM, 'PUT /classes/{class}/teachers' => self::TEAM,
        'POST /classes/{class}/groups' => self::TEAM, 'PUT /classes/{class}/groups/{group}' => self::TEAM,
        'DELETE /classes/{class}/groups/{group}' => self::TEAM, 'POST /classes/{class}/students/{student}/move' => self::TEAM,
        'POST /classes/{class}/roster/preview' => self::TEAM, 'POST /classes/{class}/roster' => self::TEAM,
        'POST /classes/{class}/slips' => self::TEAM,
        'POST /classes/{class}/students/{student}/pin' => self::TEAM, 'PUT /classes/{class}/students/{student}' => self::TEAM, 'PUT /classes/{class}/students/{student}/support' => self::TEAM,
        'GET /classes/supported' => self::TEACHERS,
        'DELETE /classes/{class}/students/{student}' => self::TEAM, 'POST /classes/{class}/students/{student}/return' => self::TEAM,
        'GET /feedback-plans' => self::TEACHERS, 'POST /feedback-plans' => self::TEACHERS, 'DELETE /feedback-plans/{plan}' => self::TEAM,
        'POST /feedback-plans/read' => self::TEACHERS,
        'POST /room-questions' => [401, 401, 401, 404, 403, 'ok', 'ok'],
        'GET /handouts' => self::TEACHERS, 'POST /handouts' => [401, 401, 401, 422, 403, 'ok', 'ok'],
        'GET /handouts/{handout}' => self::TEAM, 'PUT /handouts/{handout}' => self::TEAM,
        'DELETE /handouts/{untouched}' => self::TEAM, 'PUT /handouts/{handout}/students/{student}/extra-time' => self::TEAM,
        'POST /handouts/{handout}/close' => self::TEAM, 'POST /handouts/{handout}/reopen' => self::TEAM,
        'POST /handouts/{handout}/hold' => self::TEAM, 'POST /handouts/{handout}/release' => self::TEAM,
        'POST /handouts/{handout}/notes' => self::TEAM, 'DELETE /notes/{note}' => self::TEAM,
        'POST /sittings/{sitting}/calls/{call}/settle' => self::TEAM, 'POST /sittings/{sitting}/calls/{call}/unsettle' => self::TEAM,
        'POST /sittings/{sitting}/take-in' => self::TEAM,
        'POST /students/{student}/merge' => self::TEAM, 'DELETE /merges/{merge}' => self::TEAM,
        'POST /sittings/{handedIn}/corrections' => self::TEAM, 'DELETE /corrections/{correction}' => self::TEAM,
        'POST /papers/on-paper' => self::TEACHERS, 'PUT /classes/{class}/pictures' => self::TEAM,
        'GET /handouts/{handout}/pads' => self::TEAM, 'POST /handouts/{handout}/pads' => self::TEAM,
        'DELETE /handouts/{handout}/pads' => self::TEAM, 'PUT /handouts/{handout}/pads/{pad}' => self::TEAM,
        // Its key stands in for a session; without one nobody gets in.
        'POST /presses/{handout}' => [401, 401, 401, 401, 401, 401, 401],
        'GET /handouts/{handout}/climb' => self::TEAM, 'PUT /handouts/{handout}/climb' => self::TEAM,
        'POST /handouts/{handout}/climb/draw' => self::TEAM, 'DELETE /handouts/{handout}/climb' => self::TEAM,
        'GET /handouts/{handout}/helps' => self::TEAM, 'GET /sittings/{sitting}/helpers/{entry}' => self::TEAM,
        'POST /sittings/{sitting}/helps' => self::TEAM, 'DELETE /helps/{help}' => self::TEAM, 'POST /helps/{help}/resume' => self::TEAM,
        'POST /helps/{help}/lines/{line}/let' => self::TEAM,
        'GET /handouts/{handout}/lookout' => self::TEAM, 'GET /sittings/{sitting}' => self::TEAM,
        'POST /sittings/{handedIn}/reopen' => self::TEAM, 'GET /handouts/{handout}/live' => self::TEAM,
        'GET /marking' => self::STAFF, 'GET /handouts/{handout}/marking/{entry}' => self::STAFF_OF_TEAM,
        'PUT /marks' => self::STAFF_OF_TEAM,
        // The lead gave the first mark, so a second one has to come from somebody else.
        'PUT /second-marks' => [401, 401, 401, 404, 'ok', 'ok', 409],
        'POST /handouts/{handout}/keys/{entry}/preview' => self::TEAM, 'POST /handouts/{handout}/keys/{entry}' => self::TEAM,
        'POST /key-changes/{change}/undo' => self::TEAM,
        'GET /handouts/{handout}/lookout/{entry}' => self::TEAM,
        'GET /handouts/{handout}/wall' => self::TEAM, 'PUT /handouts/{handout}/wall' => self::TEAM,
        // Nothing is picked from in the question that the table names.
        'POST /handouts/{handout}/counts/{entry}' => [401, 401, 401, 404, 403, 409, 409],
        'DELETE /handouts/{handout}/counts/{entry}' => self::TEAM,
        'PUT /handouts/{handout}/hands/{entry}' => [401, 401, 401, 404, 403, 422, 422],
        'DELETE /handouts/{handout}/hands/{entry}' => self::TEAM,
        'GET /handouts/{handout}/mend' => self::TEAM, 'POST /handouts/{handout}/mend' => self::TEAM,
        'GET /handouts/{handout}/return' => self::TEAM, 'POST /handouts/{handout}/return' => self::TEAM,
        'POST /handouts/{handout}/take-back' => self::TEAM,
        'GET /outbox' => self::TEACHERS, 'GET /trail' => self::TEACHERS,
        'GET /handouts/{handout}/results' => self::TEAM, 'GET /handouts/{handout}/results/model' => self::TEAM,
        'GET /handouts/{handout}/results/skills' => self::TEAM, 'GET /handouts/{handout}/results/watched' => self::TEAM,
        'GET /handouts/{handout}/results/classes' => self::TEAM, 'GET /handouts/{handout}/results/change' => self::TEAM,
        'GET /handouts/{handout}/results/markers' => self::TEAM,
        'GET /handouts/{handout}/groups' => self::TEAM, 'POST /handouts/{handout}/groups' => self::TEAM,
        'POST /handouts/{handout}/groupings' => self::TEAM,
        'GET /groupings' => self::TEACHERS, 'GET /groupings/{grouping}' => self::TEAM,
        'POST /groupings/{grouping}/follow-ups' => self::TEAM, 'DELETE /groupings/{grouping}' => self::TEAM,
        'POST /groupings/{grouping}/restore' => self::TEAM, 'POST /groupings/{grouping}/moves' => self::TEAM,
        'GET /handouts/{handout}/responses.csv' => self::TEAM, 'GET /handouts/{handout}/marks.csv' => self::TEAM,

        'GET /me/invitations' => self::STUDENTS,
        // Ada wrote both: nobody else writes on, and whom one is shown to answers it, but not she.
        'PUT /me/proposals/{proposal}' => self::OWN, 'POST /me/proposals/{asked}/answer' => [401, 404, 'ok', 401, 401, 401, 401],
        // By what stands on Ada's slip.
        'PUT /me/account' => [401, 'ok', 422, 401, 401, 401, 401],
        'GET /me/account' => self::STUDENTS, 'DELETE /me/account' => self::STUDENTS,
        'GET /me' => self::STUDENTS, 'DELETE /me' => self::STUDENTS, 'GET /me/work' => self::STUDENTS,
        'GET /me/files' => self::STUDENTS,
        'GET /me/files/{file}' => [401, 404, 404, 401, 401, 401, 401], 'GET /me/files/{shown}' => self::STUDENTS,
        'GET /me/files/{own}' => self::OWN, 'GET /me/files/{own}/pages/1' => self::OWN,
        'POST /me/sittings/{sitting}/uploads' => self::OWN, 'GET /me/sittings/{sitting}/uploads/{sent}' => self::OWN,
        'PUT /me/sittings/{sitting}/uploads/{sent}' => self::OWN, 'DELETE /me/sittings/{sitting}/uploads/{sent}' => self::OWN,
        // The other student is of the same class and may open the same handout, but never this sitting.
        'POST /me/handouts/{handout}/open' => self::STUDENTS,
        'GET /me/sittings/{sitting}' => self::OWN, 'PUT /me/sittings/{sitting}/responses' => self::OWN,
        'PUT /me/sittings/{last}/played' => self::OWN, 'PUT /me/sittings/{sitting}/left/{call}' => self::OWN,
        'PUT /me/sittings/{sitting}/call' => self::OWN, 'DELETE /me/sittings/{sitting}/call' => self::OWN,
        // Ada is the one who is helped, so a yes is not hers to say.
        'PUT /me/sittings/{sitting}/help' => [401, 409, 404, 401, 401, 401, 401], 'POST /me/sittings/{sitting}/help' => self::OWN,
        'DELETE /me/sittings/{sitting}/help' => self::OWN,
        'POST /me/sittings/{sitting}/settle' => self::OWN, 'POST /me/sittings/{sitting}/hint' => self::OWN,
        'POST /me/sittings/{sitting}/go-on' => self::OWN, 'POST /me/sittings/{last}/hand-in' => self::OWN,
        'POST /me/sittings/{returned}/reply' => self::OWN, 'GET /me/sittings/{sitting}/live' => self::OWN,
    ];

    public function testEveryRouteIsInTheTable(): void
    {
        $routes = [];
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $route) {
            foreach ($route->getMethods() as $method) {
                $routes[] = $method.' '.self::shape($route->getPath());
            }
        }
        $table = array_values(array_unique(array_map(self::shape(...), array_keys(self::TABLE))));
        sort($routes);
        sort($table);
        self::assertSame($routes, $table);
    }

    /** @return list<string> `METHOD /path`, where the path’s parts name subjects of {@see RouteCase} */
    public static function routes(): array
    {
        return array_keys(self::TABLE);
    }

    /** @return iterable<string, array{string}> */
    public static function actors(): iterable
    {
        foreach (self::ACTORS as $actor) {
            yield $actor => [$actor];
        }
    }

    #[DataProvider('actors')]
    public function testEachActorGetsWhatTheTableSays(string $actor): void
    {
        $ids = $this->subjects();
        $bodies = $this->bodies($ids);
        $who = [
            'nobody' => null,
            'student' => $this->world->students['Ada Okafor'],
            'other student' => $this->world->students['Benoît Larsen'],
            'stranger' => $this->world->stranger,
            'marker' => $this->world->marker,
            'teacher' => $this->world->teacher,
            'lead' => $this->world->lead,
        ][$actor];
        $wrong = [];
        foreach (self::TABLE as $key => $row) {
            $expected = $row[(int) array_search($actor, self::ACTORS, true)];
            if ($expected === null) {
                continue;
            }
            $this->begin();
            if ($key === 'POST /handouts/{handout}/reopen') {
                $this->as($this->world->lead)->get('POST', "/handouts/{$ids['handout']}/close");
            }
            [$method, $path] = explode(' ', $key);
            $path = self::path($path, $ids);
            $body = $bodies[$key] ?? [];
            $this->as($who);
            $status = (is_string($body)
                ? $this->askBytes($method, $path, $body)
                : $this->ask($method, $path, $method === 'GET' ? null : $body))->getStatusCode();
            $this->undo();
            if ($expected === self::OK ? $status < 200 || $status > 299 : $status !== $expected) {
                $wrong[] = "$key: expected $expected, got $status ".substr((string) $this->browser->getResponse()->getContent(), 0, 200);
            }
        }
        self::assertSame([], $wrong);
    }

    public function testARefusalSaysThatTheRoleIsTheReason(): void
    {
        $refusal = $this->as($this->world->marker)->refused(403, 'GET', '/papers');

        self::assertSame(['This is not yours to do.', 'Your role does not allow it.'], [$refusal->text('title'), $refusal->text('detail')]);
    }

    public function testWhatChangesSomethingMustComeFromOurOwnPages(): void
    {
        $this->as($this->world->teacher);
        foreach ([
            [],
            ['HTTP_X_CHALK_LADDER' => '1', 'HTTP_SEC_FETCH_SITE' => 'cross-site'],
            ['HTTP_X_CHALK_LADDER' => '1', 'HTTP_ORIGIN' => 'http://evil.example'],
        ] as $headers) {
            $this->browser->request(
                'POST',
                'http://localhost/api/bank/skills',
                [],
                [],
                ['CONTENT_TYPE' => 'application/json'] + $headers,
                '{"name": "Forged"}',
            );
            self::assertSame(403, $this->browser->getResponse()->getStatusCode());
        }
        self::assertNull($this->tables->row("SELECT 1 FROM skill WHERE name = 'Forged'"));
    }

    private static function shape(string $path): string
    {
        return (string) preg_replace(['/\{\w+\}/', '~/(pages|history)/1$~'], ['{}', '/$1/{}'], str_replace('/api', '', $path));
    }
}
