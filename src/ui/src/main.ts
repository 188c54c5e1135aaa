import { mount } from "svelte";
import "./app.css";
import App from "./App.svelte";

// What the kitchen words itself, it words in the language of these pages, also in a file that is fetched: the platform's own cookie says which.
const { lang } = document.documentElement;
const YEAR_S = 365 * 86_400;
document.cookie = `.AspNetCore.Culture=${encodeURIComponent(`c=${lang}|uic=${lang}`)}; path=/; samesite=strict; max-age=${YEAR_S}`;

const target = document.getElementById("app");
if (target) mount(App, { target });
