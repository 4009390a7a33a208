"""The plotter: an outside device that jams, has no paper, is slow, breaks off; nothing is drawn twice."""

import json
import re
import socket
import subprocess
import sys
from pathlib import Path

import pytest
from PIL import Image
from shapely.geometry import Polygon

from demo.plotted import Drawn, Pen
from demo.plotter import JAM, start
from shop.plans.models import Plot
from shop.plans.tasks import plot_piece

ROOT = Path(__file__).resolve().parents[2]
STEP = 0.025


@pytest.fixture
def device(tmp_path, settings):
    """A plotter that listens, and what it keeps."""
    plotter, servers = start(0, tmp_path / "plotter")
    settings.PLAVET_PLOTTER = f"127.0.0.1:{servers[0].server_address[1]}"
    plotter.beside = servers[1].server_address[1]
    yield plotter
    for server in servers:
        server.shutdown()
        server.server_close()


@pytest.fixture
def run(owner, order, monkeypatch):
    """The order's plan; what is put on the queue is kept to be done by hand."""
    asked = []
    monkeypatch.setattr(plot_piece, "defer", lambda plot: asked.append(plot))
    made = owner("POST", f"/orders/{order['id']}/plan")[1]

    def work(most=50):
        """The worker, until nothing waits."""
        done = 0
        while asked and done < most:
            plot_piece(plot=asked.pop(0))
            done += 1
        return done

    return made, work


def begin(owner, made, id):
    status, plot = owner("PUT", f"/plots/{id}", {"plan": made["id"]})
    assert status == 200, plot
    return plot


def outlines_on(drawn):
    """What pen 1 drew closed, in mm."""
    return [Polygon(way) for pen, way in drawn.strokes if pen == 1 and len(way) > 3]


def cut_outlines(made):
    return [Polygon(piece["cut"]) for piece in made["plan"]["pieces"]]


def test_every_piece_is_drawn_once_in_true_size(owner, run, device, new_id):
    made, work = run
    id = new_id()
    assert begin(owner, made, id)["pieces"]
    begin(owner, made, id)  # the same press once more
    work()
    plot = owner.get(f"/plans/{made['id']}/plot")["plot"]
    assert (plot["state"], plot["drawn"]) == ("done", len(made["plan"]["pieces"]))
    job = device.jobs[id]
    assert job.pieces == plot["drawn"]
    areas, wanted = sorted(one.area for one in outlines_on(job.drawn)), sorted(one.area for one in cut_outlines(made))
    assert areas == pytest.approx(wanted, rel=1e-3)
    written = " ".join(text for text, *_ in job.drawn.texts)
    for piece in made["plan"]["pieces"]:
        assert f"cut {piece['count']}" in written
    assert Image.open(device.folder / f"{id}.png").size[1] > 500
    assert "<polyline" in (device.folder / f"{id}.svg").read_text()


def test_after_a_jam_it_goes_on_at_the_piece_that_failed(owner, run, device, new_id):
    made, work = run
    id = new_id()
    begin(owner, made, id)
    assert work(1) == 1
    device.troubles.jam = True
    work()
    plot = owner.get(f"/plans/{made['id']}/plot")["plot"]
    assert (plot["state"], plot["trouble"], plot["drawn"]) == ("waiting", "jam", 1)
    # Gone on with before it is mended it stops again, and nothing is lost.
    assert owner("POST", f"/plots/{id}/on")[1]["state"] == "running"
    work()
    assert owner.get(f"/plans/{made['id']}/plot")["plot"]["trouble"] == "jam"
    assert json.loads(device.asked(["mend"]))["trouble"] == ""
    owner("POST", f"/plots/{id}/on")
    work()
    plot = owner.get(f"/plans/{made['id']}/plot")["plot"]
    assert (plot["state"], plot["drawn"]) == ("done", len(plot["pieces"]))
    whole = [one for one in outlines_on(device.jobs[id].drawn) if any(alike(one, cut) for cut in cut_outlines(made))]
    assert len(whole) == len(plot["pieces"]), "what was spoiled is drawn anew, what was whole is not"


def alike(one, other):
    return abs(one.area - other.area) < 1e-3 * other.area


def test_a_line_that_breaks_after_a_piece_was_drawn_draws_none_twice(owner, run, device, new_id):
    made, work = run
    id = new_id()
    begin(owner, made, id)
    device.troubles.drop = True
    work()
    plot = owner.get(f"/plans/{made['id']}/plot")["plot"]
    assert (plot["state"], plot["trouble"]) == ("waiting", "line")
    owner("POST", f"/plots/{id}/on")
    work()
    assert owner.get(f"/plans/{made['id']}/plot")["plot"]["state"] == "done"
    assert len(outlines_on(device.jobs[id].drawn)) == len(made["plan"]["pieces"])


def test_without_paper_and_without_a_plotter_it_waits_and_says_why(owner, run, device, settings, new_id):
    made, work = run
    id = new_id()
    begin(owner, made, id)
    device.troubles.empty = True
    work()
    assert owner.get(f"/plans/{made['id']}/plot")["plot"]["trouble"] == "empty"
    with socket.socket() as nobody:
        nobody.bind(("127.0.0.1", 0))
        settings.PLAVET_PLOTTER = f"127.0.0.1:{nobody.getsockname()[1]}"
        owner("POST", f"/plots/{id}/on")
        work()
    plot = owner.get(f"/plans/{made['id']}/plot")["plot"]
    assert (plot["state"], plot["trouble"], plot["drawn"]) == ("waiting", "line", 0)
    assert owner("PUT", f"/plots/{new_id()}", {"plan": made["id"]})[0] == 422, "two at once"
    assert owner("POST", f"/plots/{id}/stop")[1]["state"] == "stopped"
    assert owner("POST", f"/plots/{id}/on")[1]["state"] == "stopped"
    settings.PLAVET_PLOTTER = ""
    assert owner.get(f"/plans/{made['id']}/plot")["there"] is False
    status, said = owner("PUT", f"/plots/{new_id()}", {"plan": made["id"]})
    assert (status, said["title"]) == (422, "No plotter is set up on this machine.")


def test_stopped_by_hand_no_piece_more_is_sent(owner, stranger, run, device, new_id):
    made, work = run
    id = new_id()
    begin(owner, made, id)
    work(1)
    for verb in ("on", "stop"):
        assert stranger("POST", f"/plots/{id}/{verb}")[0] == 404
    assert stranger("GET", f"/plans/{made['id']}/plot")[0] == 404
    owner("POST", f"/plots/{id}/stop")
    work()
    assert Plot._base_manager.get(pk=id).drawn == 1
    assert device.jobs[id].pieces == 1


def test_the_device_follows_hpgl_and_is_asked_from_beside(device):
    drawn = Drawn()
    Pen(drawn, 100.0).follow('IN;CO "a PU9,9;";SP1;PU0,0;PD400,0,400,400;PU;SP2;PU800,800;PD840,800;SP0;PU0,0;')
    assert drawn.strokes == [(1, [(0, 100), (10, 100), (10, 110)]), (2, [(20, 120), (21, 120)])]
    assert drawn.drawn_mm == pytest.approx(10 + 10 + 1)
    assert drawn.lifted_mm == pytest.approx(200**0.5 + (21**2 + 20**2) ** 0.5)
    with pytest.raises(ValueError, match="ZZ"):
        Pen(drawn, 0.0).follow("ZZ1;")
    device.trouble = JAM
    with socket.create_connection(("127.0.0.1", device.beside), timeout=5) as line:
        line.sendall(b"state\n")
        assert json.loads(line.makefile().read())["trouble"] == "jam"


def test_the_command_says_what_to_do_where_none_runs_and_what_it_knows():
    def say(*words):
        line = [sys.executable, "-c", "import sys; from pathlib import Path; from demo.plotter import main; "
                "sys.exit(main(sys.argv[1:], Path('.')))", *words]  # fmt: skip
        return subprocess.run(line, cwd=ROOT, text=True, capture_output=True, check=False)

    assert "./plavet plotter" in say("--port", "9", "state").stderr
    assert re.search("knows no 'burn'.*jam, empty", say("burn").stderr)
